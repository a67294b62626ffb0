<script lang="ts">
  import Printer from '@lucide/svelte/icons/printer';
  import type { KeptSession } from '../api/sessions';
  import CardMenu from './CardMenu.svelte';

  type Station = 'plan' | 'prepare' | 'brief' | 'debrief' | 'review' | 'lead';

  interface Props {
    kept: KeptSession;
    current: Station;
  }
  const { kept, current }: Props = $props();
  const base = $derived(`/books/${kept.bookId}/sessions/${kept.id}`);
  const STATIONS: [Station, string, string][] = [
    ['plan', '', 'Plan'],
    ['prepare', '/prepare', 'Prepare the book'],
    ['brief', '/brief', 'Brief'],
    ['debrief', '/debrief', 'Debrief'],
    ['review', '/review', 'Revise'],
  ];
</script>

<nav class="flex flex-wrap items-center gap-1 py-1 print:hidden" aria-label="This session">
  {#each STATIONS as [key, path, name], i (key)}
    <a
      href="{base}{path}"
      aria-current={current === key ? 'page' : undefined}
      class={[
        'figures flex min-h-11 items-center gap-2 rounded border-2 px-3 text-lg',
        current === key ? 'border-base-content font-semibold' : 'border-base-300',
      ]}
    >
      <span class="text-neutral" aria-hidden="true">{i + 1}</span>{name}
      {#if key === 'prepare' && kept.session.revision}
        <span class="text-sm">✓ revision {kept.session.revision}</span>
      {/if}
    </a>
    {#if i < STATIONS.length - 1}<span aria-hidden="true">→</span>{/if}
  {/each}
  <a
    href="{base}/lead"
    aria-current={current === 'lead' ? 'page' : undefined}
    class={[
      'figures ml-3 flex min-h-11 items-center rounded border-2 px-3 text-lg',
      current === 'lead' ? 'border-base-content font-semibold' : 'border-base-300',
    ]}>Lead a group</a
  >
  <a
    href="/books/{kept.bookId}/laps"
    class="figures border-base-300 flex min-h-11 items-center rounded border-2 px-3 text-lg"
    >Laps side by side</a
  >
  <span class="grow"></span>
  {#if kept.session.revision}
    <CardMenu bookId={kept.bookId} revision={kept.session.revision} session={kept.id}>
      <Printer size={18} /> Cards
    </CardMenu>
    <a class="btn btn-ghost" href="/books/{kept.bookId}/calls">The lap spoken</a>
  {/if}
</nav>
