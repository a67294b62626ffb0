<script lang="ts">
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
  class="sticky top-2 ml-3 flex max-h-[calc(100vh-4rem)] w-14 shrink-0 flex-col gap-1 self-start overflow-x-hidden overflow-y-auto pl-2 print:hidden"
  aria-label="Corners"
>
  {#snippet tab(href: string, text: string, label: string, open: boolean)}
    <a
      {href}
      aria-label={label}
      aria-current={open ? 'page' : undefined}
      {@attach (tab: HTMLElement) => {
        if (open) tab.scrollIntoView({ block: 'nearest' });
      }}
      class="figures flex h-[42px] shrink-0 items-center justify-center rounded-l-lg border-2 border-r-0 text-lg font-semibold
        {open
        ? 'bg-primary text-primary-content border-primary -ml-2'
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
      `Corner ${page.corner} ${page.name}`,
      current === page.corner,
    )}
  {/each}
</nav>
