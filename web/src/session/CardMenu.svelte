<script lang="ts">
  import type { Snippet } from 'svelte';
  import { preferences } from '../units/preferences.svelte';

  interface Props {
    bookId: string;
    revision: number;
    /** Session whose targets and steps are printed with it. */
    session?: string;
    children: Snippet;
  }
  const { bookId, revision, session, children }: Props = $props();
  const FORMATS: [string, string][] = [
    ['a5', 'The session, A5'],
    ['a4', 'The lap with its strips, A4'],
    ['dash', 'Wrist or dash, numbers only'],
    ['tank', 'For the tank of a motorcycle'],
  ];
  const url = (format: string) =>
    `/api/books/${bookId}/revisions/${revision}/card.pdf?format=${format}` +
    `&speed=${encodeURIComponent(preferences.speed)}&length=${preferences.length}` +
    (session ? `&session=${session}` : '');
</script>

<details class="dropdown dropdown-end">
  <summary class="btn btn-ghost" data-cards>{@render children()}</summary>
  <ul class="dropdown-content border-base-content bg-base-100 rounded-box z-20 w-64 border-2 p-2">
    {#each FORMATS as [format, name], i (format)}
      <li>
        <a
          class="btn btn-ghost w-full justify-start"
          href={url(format)}
          target="_blank"
          rel="noopener"
          data-card={i === 0 ? '' : undefined}>{name}</a
        >
      </li>
    {/each}
  </ul>
</details>
