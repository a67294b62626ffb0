<script lang="ts">
  import { cornerName } from '../ui/corner-name';
  import { lapCalls } from '../api/lap-calls';
  import type { CornerPage, View } from '../api/types';
  import type { OtherLine } from '../strip/other-lines';
  import Strip from '../strip/Strip.svelte';
  import Tabs from '../ui/Tabs.svelte';
  import AlongPanel from './AlongPanel.svelte';
  import { PLACES, places } from './debrief';
  import type { DebriefDesk } from './debrief-state.svelte';
  import HandsFeetEdges from './HandsFeetEdges.svelte';
  import HistoryPanel from './HistoryPanel.svelte';
  import Remarks from './Remarks.svelte';

  interface Props {
    desk: DebriefDesk;
    page: CornerPage;
    view: View;
  }
  const { desk, page, view }: Props = $props();
  const TABS = [
    ['strip', 'On the road'],
    ['along', 'Two laps'],
    ['work', 'Hands, feet, edges'],
    ['remarks', 'Remarks'],
    ['history', 'Sessions'],
  ] as const;
  let open = $state<(typeof TABS)[number][0]>('strip');

  const scatters = $derived(
    PLACES.map(({ letter, name, field }) => ({
      letter,
      name,
      stations: places(desk.laps, page.corner, field, view.trace),
    })),
  );
  const said = $derived(
    desk.debrief!.remarks.filter((r) => r.corner === page.corner || r.corner == null).length,
  );

  const tabs = $derived(
    TABS.map(([key, name]) => ({
      key,
      name: key === 'remarks' && said ? `${name} (${said})` : name,
    })),
  );

  /** The line of the best lap that counts, where its positions tell. */
  let line = $state.raw<OtherLine>();
  $effect(() => {
    const lap = desk.best;
    line = undefined;
    if (!lap) return;
    lapCalls.lapLine(lap.file, lap.number).then((answer) => {
      if (lap !== desk.best || answer.offset_m.length === 0) return;
      line = {
        letters: `L${lap.number}`,
        name: `lap ${lap.number} as it was driven`,
        from_m: answer.step_m / 2,
        step_m: answer.step_m,
        offset_m: answer.offset_m,
        dash: '9 4',
      };
    });
  });
</script>

<h2 class="text-2xl font-bold" data-corner-title>{cornerName(page)}</h2>
<Tabs label="Corner {page.corner}" id="debrief" {tabs} bind:open>
  {#if open === 'strip'}
    <Strip {page} trace={view.trace} height={560} {scatters} lines={line ? [line] : []} />
    <p class="text-neutral text-sm leading-snug">
      A tick for each lap: {PLACES.map((p) => `${p.letter} ${p.name}`).join(', ')}; the plates are
      the page's. Pressure comes a foot's way after the plate. Dashed: the line of the best lap.
    </p>
  {:else if open === 'along'}
    <AlongPanel
      session={desk.session}
      {page}
      trace={view.trace}
      laps={desk.laps}
      best={desk.best}
    />
  {:else if open === 'work'}
    <HandsFeetEdges corner={page.corner} laps={desk.laps} />
  {:else if open === 'remarks'}
    <Remarks
      corner={page.corner}
      causes={desk.guessing ? undefined : desk.causes}
      remarks={desk.debrief!.remarks}
      laps={desk.laps}
      onsay={(words, author, lap) => desk.remark(words, author, page.corner, lap)}
      onremove={desk.takeBack}
    />
  {:else}
    <HistoryPanel book={desk.book} session={desk.session} {page} trace={view.trace} />
  {/if}
</Tabs>
