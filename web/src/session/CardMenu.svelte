<script lang="ts">
  import type { Snippet } from 'svelte';
  import Menu from '../ui/Menu.svelte';
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
  const items = $derived(
    FORMATS.map(([format, name]) => ({
      name,
      href: url(format),
      as: 'beside' as const,
      mark: format,
    })),
  );
  const url = (format: string) =>
    `/api/books/${bookId}/revisions/${revision}/card.pdf?format=${format}` +
    `&speed=${encodeURIComponent(preferences.speed)}&length=${preferences.length}` +
    (session ? `&session=${session}` : '');
</script>

<Menu {items} data-cards>{@render children()}</Menu>
