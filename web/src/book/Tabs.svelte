<script lang="ts">
  import { cornerName } from '../ui/corner-name';
  import type { CornerPage } from '../api/types';

  interface Props {
    id: string;
    pages: CornerPage[];
    /** Corner that is open; 0 for the whole lap, −1 for none of them. */
    current: number;
  }
  const { id, pages, current }: Props = $props();
</script>

<nav
  class="bg-base-100 border-base-content [scrollbar-width:none] desk:sticky desk:top-2 desk:ml-3 desk:max-h-[calc(100dvh-4rem)] desk:w-14 desk:flex-col desk:self-start desk:overflow-x-hidden desk:overflow-y-auto desk:border-0 desk:pb-0 desk:pl-2 desk:pr-0 fixed inset-x-0 bottom-0 z-20 flex shrink-0 gap-1 overflow-x-auto border-t-2 px-2 pb-[env(safe-area-inset-bottom)] print:hidden"
  aria-label="Corners"
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
      String(page.corner),
      cornerName(page),
      current === page.corner,
    )}
  {/each}
</nav>
