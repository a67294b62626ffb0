import { preferences } from '../units/preferences.svelte';

/** Where keys mean what is typed or chosen there, and no shortcut. */
const OWN_KEYS = 'input, select, textarea, dialog, [contenteditable], [role=slider], [role=menu]';

/** Keys that choose among tabs, and nothing else there. */
const TAB_KEYS = /^(Arrow(Left|Right|Up|Down)|Home|End)$/;

/**
 * The key of an event as a shortcut without a modifier, unless letters, figures and signs were
 * switched off and it is one; undefined when a modifier is held, when it
 * is typed into something, or when something else has dealt with it. Shift counts as held unless it
 * is needed to type the key, as for `?`.
 */
export function plainKey(event: KeyboardEvent): string | undefined {
  if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return undefined;
  if (event.shiftKey && !/^[^\p{L}\p{N}]$/u.test(event.key)) return undefined;
  if (!preferences.letterKeys && [...event.key].length === 1) return undefined;
  if (TAB_KEYS.test(event.key) && isWithin(event.target, '[role=tablist]')) return undefined;
  return hasOwnKeys(event.target) ? undefined : event.key;
}

/** The key of a shortcut with Ctrl (or the command key) and no other modifier, in small letters. */
export function controlKey(event: KeyboardEvent): string | undefined {
  if (event.defaultPrevented || event.altKey || event.shiftKey) return undefined;
  return event.ctrlKey || event.metaKey ? event.key.toLowerCase() : undefined;
}

/** Whether the place where an event came from takes keys itself. */
export function hasOwnKeys(target: EventTarget | null): boolean {
  return isWithin(target, OWN_KEYS);
}

const isWithin = (target: EventTarget | null, css: string) =>
  !!(target as Element | null)?.closest?.(css);

/** Index of the tab that a key leads to, or undefined; the pattern of the ARIA practices. */
export function tabFor(key: string, at: number, count: number): number | undefined {
  if (key === 'ArrowRight') return (at + 1) % count;
  if (key === 'ArrowLeft') return (at - 1 + count) % count;
  if (key === 'Home') return 0;
  if (key === 'End') return count - 1;
  return undefined;
}

/**
 * Gives a tablist its keys: arrows, Home and End choose a tab and move the focus to it; Tab goes to
 * the chosen one alone. To be attached to the element with the role.
 */
export function tabKeys(list: HTMLElement) {
  const tabs = () => [...list.querySelectorAll<HTMLElement>('[role=tab]')];
  const rove = () => {
    for (const tab of tabs()) tab.tabIndex = tab.getAttribute('aria-selected') === 'true' ? 0 : -1;
  };
  const onkeydown = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.shiftKey) return;
    const all = tabs();
    const at = all.indexOf((event.target as Element).closest<HTMLElement>('[role=tab]')!);
    const next = at < 0 ? undefined : tabFor(event.key, at, all.length);
    if (next === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    all[next].click();
    // A choice may draw the tabs anew.
    requestAnimationFrame(() => tabs()[next]?.focus());
  };
  const watch = new MutationObserver(rove);
  watch.observe(list, { subtree: true, childList: true, attributeFilter: ['aria-selected'] });
  rove();
  list.addEventListener('keydown', onkeydown);
  return () => {
    watch.disconnect();
    list.removeEventListener('keydown', onkeydown);
  };
}
