<script lang="ts">
  import { cornerName, cornerNumber } from '../ui/corner-name';
  import type { CornerPage } from '../api/types';
  import { turnedBy, type Touch } from './swipe';

  interface Props {
    id: string;
    pages: CornerPage[];
    /** Corner that is open; 0 for the whole lap, −1 for none of them. */
    current: number;
    /** Asked for by a flick along the row: 1 is the next page, −1 the one before. */
    onturn: (step: -1 | 1) => void;
  }
  const { id, pages, current, onturn }: Props = $props();

  let began: Touch | undefined;
  const touchOf = ({ touches, changedTouches, timeStamp }: TouchEvent): Touch | undefined =>
    touches.length > 1
      ? undefined
      : { x: changedTouches[0].clientX, y: changedTouches[0].clientY, at_ms: timeStamp };

  function lifted(event: TouchEvent) {
    const ended = touchOf(event);
    const step = began && ended ? turnedBy(began, ended) : 0;
    began = undefined;
    if (step) onturn(step);
  }
</script>

<nav
  class="bg-base-100 border-base-content [scrollbar-width:none] desk:sticky desk:top-2 desk:ml-3 desk:max-h-[calc(100dvh-4rem)] desk:w-14 desk:flex-col desk:self-start desk:overflow-x-hidden desk:overflow-y-auto desk:border-0 desk:pb-0 desk:pl-2 desk:pr-0 fixed inset-x-0 bottom-0 z-20 flex shrink-0 gap-1 overflow-x-auto border-t-2 px-2 pb-[env(safe-area-inset-bottom)] print:hidden"
  aria-label="Corners"
  ontouchstart={(event) => (began = touchOf(event))}
  ontouchend={lifted}
>
  {#snippet tab(href: string, text: string, label: string, open: boolean)}
    <a
      {href}
      aria-label={label}
      aria-current={open ? 'page' : undefined}
      {@attach (tab: HTMLElement) => {
        if (open) tab.scrollIntoView({ block: 'nearest', inline: 'center' });
      }}
      class="figures desk:min-w-0 desk:rounded-none desk:rounded-l-lg desk:border-t-2 desk:border-r-0 flex h-11 min-w-11 shrink-0 items-center justify-center rounded-b-lg border-2 border-t-0 px-1 text-lg font-semibold
        {open
        ? 'bg-primary text-primary-content border-primary desk:-ml-2'
        : 'border-base-content bg-base-100 hover:bg-base-200'}"
    >
      {text}
    </a>
  {/snippet}
  {@render tab(`/books/${id}`, 'Lap', 'The whole lap', current === 0)}
  {#each pages as page (page.corner)}
    {@render tab(
      `/books/${id}/corner/${page.corner}`,
      cornerNumber(page),
      cornerName(page),
      current === page.corner,
    )}
  {/each}
</nav>
