import { preferences } from '../units/preferences.svelte';

/** Where keys mean what is typed or chosen there, and no shortcut. */
const OWN_KEYS =
  'input, select, textarea, [role=dialog], [contenteditable], [role=slider], [role=menu]';

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
