<!-- @component What is called at the lead pace, each in time before its point. -->
<script lang="ts">
  import type { Call } from '../api/answers';
  import { untrack } from 'svelte';
  import { api } from '../api/client';
  import { useBook } from '../book/book-state.svelte';
  import { preferences } from '../units/preferences.svelte';
  import { useLead } from './lead-state.svelte';

  const desk = useLead();
  const book = useBook();
  const pace = $derived(desk.lead!.day.paceShare);
  let calls = $state.raw<Call[]>();
  const cones = $derived(desk.lead!.day.cones);

  /** What stands today in a corner, told with the first call about it. */
  function standing(call: Call): string {
    if (calls?.find((c) => c.corner === call.corner) !== call) return '';
    return cones
      .filter((c) => c.corner === call.corner)
      .map((c) => `${c.what} at the ${c.point.replace('-', ' ')} point, ${c.side}`)
      .join('; ');
  }

  $effect(() => {
    const asked = pace;
    void untrack(() =>
      desk.run(async () => {
        const lap = await api.spoken(book.id, book.draft(), asked, preferences.length);
        if (asked === pace) calls = lap.calls;
      }),
    );
  });
</script>

<p class="pb-2 leading-snug">
  At {Math.round(pace * 100)} % of the page’s speed, each ending at least a second and a half before its
  point. <a class="link" href="/books/{book.id}/calls">Hear the lap</a>
</p>
{#if calls}
  <ol class="columns-2 gap-8" data-calls>
    {#each calls as call (call.from_s)}
      <li class="border-base-300 break-inside-avoid border-b py-1 text-lg leading-snug">
        <strong class="figures">{call.corner}</strong>
        {call.words}
        <span class="figures text-neutral text-sm"
          >{(call.point_s - call.from_s).toFixed(1)} s before</span
        >
        {#if standing(call)}<span class="block text-sm font-semibold" data-standing
            >▲ today: {standing(call)}</span
          >{/if}
      </li>
    {/each}
  </ol>
{:else if !desk.problem}<p role="status">Working out the calls …</p>{/if}
