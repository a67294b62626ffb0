<!-- @component Two laps beside each other over the whole lap, standing or replayed. -->
<script lang="ts">
  import { say } from '../say/every';
  import { onMount } from 'svelte';
  import type { LapPair } from '../api/laps';
  import { useBook } from '../book/book-state.svelte';
  import { PX_PER_M, WIDTH_PX } from '../rehearse/run-road';
  import RunRoad from '../rehearse/RunRoad.svelte';
  import Menu from '../ui/Menu.svelte';
  import Problem from '../ui/Problem.svelte';
  import Tabs from '../ui/Tabs.svelte';
  import { plainKey } from '../ui/keys';
  import { lapTime } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import Differences from './Differences.svelte';
  import LapTraces from './LapTraces.svelte';
  import LapValues from './LapValues.svelte';
  import { download, pngOf, svgText } from './picture';
  import LineMark from './LineMark.svelte';
  import Pins from './Pins.svelte';
  import { PairDesk } from './pair-desk.svelte';
  import ReplayBar from './ReplayBar.svelte';
  import ReplayPlan from './ReplayPlan.svelte';
  import { valueAt } from './pair';
  import Works from './Works.svelte';

  type Tab = 'corners' | 'values' | 'notes';
  const TABS: readonly { key: Tab; name: string }[] = [
    { key: 'corners', name: 'By corner' },
    { key: 'values', name: 'What it would change' },
    { key: 'notes', name: 'Notes' },
  ];
  /** A note shows while the replay is so near [m]. */
  const NEAR_M = 60;
  const HEIGHT_PX = 340;

  const book = useBook();
  const desk = new PairDesk(book.id);
  const asked = new URLSearchParams(location.search);
  const lap = asked.get('lap') ?? 'page';
  const beside = asked.get('with') ?? 'page';
  let road = $state<RunRoad>();
  let traces = $state<SVGSVGElement>();
  let tab = $state<Tab>('corners');
  void desk.load(lap, beside, book.book!.revisions.at(-1)!.number);

  type Side = LapPair['first'];
  const nameOf = (side: Side) =>
    side.session
      ? side.driver
        ? `${side.driver}, lap ${side.number}`
        : `your lap ${side.number}`
      : 'the page';
  const names = $derived<[string, string]>(
    desk.pair ? [nameOf(desk.pair.first), nameOf(desk.pair.second)] : ['', ''],
  );
  const pages = $derived(desk.view?.revision.pages ?? []);
  const note = $derived(
    desk.pair?.pins.find((p) => p.at_m! - desk.at < NEAR_M && desk.at - p.at_m! < NEAR_M),
  );
  /** Whose values can be taken over: the lap that is not the page and, of two, the other's. */
  const theirs = $derived(
    desk.pair && (desk.pair.second.session ? desk.pair.second : desk.pair.first),
  );
  const query = `lap=${encodeURIComponent(lap)}&with=${encodeURIComponent(beside)}`;
  const files = $derived([
    { name: 'Traces (SVG)', onselect: () => traces && save(svgText(traces)) },
    {
      name: 'Traces (PNG)',
      onselect: async () => traces && download(await pngOf(traces), 'traces.png'),
    },
    {
      name: 'Difference (CSV)',
      href: `/api/books/${book.id}/pair.csv?${query}`,
      as: 'download' as const,
    },
    ...[lap, beside]
      .filter((id) => id !== 'page')
      .map((id) => ({
        name: `${id === lap ? names[0] : names[1]} by stations (CSV)`,
        href: `/api/books/${book.id}/stations.laps.csv?lap=${encodeURIComponent(id)}`,
        as: 'download' as const,
      })),
  ]);
  const save = (text: string) =>
    download(new Blob([text], { type: 'image/svg+xml' }), 'traces.svg');
  const signed = (s: number) => `${Math.abs(s).toFixed(2)} s ${s >= 0 ? 'behind' : 'ahead of'}`;

  $effect(() => {
    if (!desk.pair || !road) return;
    const { first, second } = desk.pair;
    road.show(desk.at, valueAt(first.along, first.along.offset_m, desk.at) ?? 0, {
      station: desk.other,
      offset_m: valueAt(second.along, second.along.offset_m, desk.other) ?? 0,
    });
  });
  onMount(() => {
    let frame = requestAnimationFrame(function tick(stamp) {
      desk.tick(stamp);
      frame = requestAnimationFrame(tick);
    });
    return () => cancelAnimationFrame(frame);
  });

  /** Where the road was taken hold of: the pointer’s height, and the station then. */
  let held: { y: number; at: number; perPx: number } | undefined;
  function take(event: PointerEvent) {
    const strip = event.currentTarget as HTMLElement;
    strip.setPointerCapture(event.pointerId);
    // A narrow screen sees the road smaller.
    const scale = Math.min(1, strip.clientWidth / WIDTH_PX);
    held = { y: event.clientY, at: desk.at, perPx: 1 / (PX_PER_M * scale) };
  }
  function drag(event: PointerEvent) {
    if (held) desk.show(held.at + (event.clientY - held.y) * held.perPx);
  }

  function onkeydown(event: KeyboardEvent) {
    const key = plainKey(event);
    const onButton = (event.target as HTMLElement).closest?.('button, a, summary');
    if (key === ' ' && !onButton) {
      if (desk.playing) desk.pause();
      else desk.play(event.timeStamp);
    } else if (key === 'ArrowLeft' || key === 'ArrowRight') {
      desk.show(desk.at + (key === 'ArrowLeft' ? -10 : 10));
    } else return;
    event.preventDefault();
    event.stopImmediatePropagation();
  }
</script>

<svelte:window onkeydowncapture={onkeydown} />
<svelte:head><title>Laps side by side · {book.book!.name} · Marvek</title></svelte:head>
<div class="pb-24" aria-busy={desk.busy}>
  {#if desk.problem}<Problem problem={desk.problem} onclose={desk.clear}>
      <a class="btn" href="/books/{book.id}/laps">Pick other laps</a>
    </Problem>{/if}
  {#if desk.pair && desk.view}
    {@const pair = desk.pair}
    <div class="flex flex-wrap items-center gap-x-4">
      <h1 class="text-3xl font-bold">Side by side</h1>
      <p class="figures text-lg leading-snug" data-pair>
        <LineMark /> <strong>{names[0]}</strong>
        {pair.first.time_s == null ? 'no whole lap' : lapTime(pair.first.time_s)}
        <LineMark dashed /> <strong>{names[1]}</strong>
        {pair.second.time_s == null ? 'no whole lap' : lapTime(pair.second.time_s)}
        · <strong data-at-line>{signed(pair.atLine_s)}</strong>
        {pair.apart.length ? 'over what both drove' : 'at the line'}
      </p>
      <span class="grow"></span>
      <a class="btn btn-ghost" href="/books/{book.id}/laps">Other laps</a>
      <Menu items={files}>Files</Menu>
    </div>
    {#if pair.apart.length}
      <p class="text-warning font-semibold" data-apart>
        ▲ Not both drove from {pair.apart
          .map((s) => `${preferences.lengthText(s.from_m)} to ${preferences.lengthText(s.to_m)}`)
          .join(', ')}: nothing is counted there.
      </p>
    {/if}
    {#each [pair.first, pair.second] as side, k (side.id + k)}
      {#if side.missing.length}
        <p class="text-neutral text-sm">{names[k]}: {side.missing.map(say).join(' ')}</p>
      {/if}
    {/each}
    <div class="desk:flex gap-5 pt-1">
      <div class="desk:w-[420px] shrink-0">
        <!-- svelte-ignore a11y_no_static_element_interactions -->
        <div
          class="relative cursor-ns-resize touch-none select-none"
          data-strip-drag
          onpointerdown={take}
          onpointermove={drag}
          onpointerup={() => (held = undefined)}
          onpointercancel={() => (held = undefined)}
        >
          <RunRoad
            bind:this={road}
            trace={desk.view.trace}
            {pages}
            help="plates"
            height={HEIGHT_PX}
            two
          />
          {#if note}
            <p
              class="bg-base-100 border-base-content absolute inset-x-2 top-2 rounded border-2 p-2 leading-snug"
              data-note
            >
              {note.words}
            </p>
          {/if}
        </div>
        <div class="flex items-center gap-2 pt-1">
          <div class="w-[44%] shrink-0">
            <ReplayPlan
              view={desk.view}
              part={desk.part}
              at={desk.at}
              other={desk.other}
              onat={(s) => desk.show(s)}
            />
          </div>
          <p class="figures leading-tight" data-place>
            <strong class="text-2xl">{preferences.lengthText(desk.at)}</strong>
            <span class="block">{desk.elapsed.toFixed(1)} s</span>
            <span class="text-neutral block text-sm"
              >{Math.abs(desk.other - desk.at) < 1
                ? 'level'
                : `${names[1]} is ${preferences.lengthText(Math.abs(desk.other - desk.at))} ${desk.other > desk.at ? 'ahead' : 'behind'}`}</span
            >
          </p>
        </div>
        <ReplayBar {desk} {pages} />
        <div class="pt-1"><Works {pair} at={desk.at} other={desk.other} {names} /></div>
      </div>
      <div class="min-w-0 grow max-desk:pt-3">
        <LapTraces
          bind:svg={traces}
          {pair}
          {pages}
          part={desk.part}
          at={desk.at}
          onat={(s) => desk.show(s)}
          {names}
        />
      </div>
    </div>
    <div class="pt-3">
      <Tabs label="What is said of these laps" id="pair" tabs={TABS} bind:open={tab}>
        <div class="pt-2">
          {#if tab === 'corners'}
            <Differences {pair} {pages} cuts={desk.cuts} {names} onlook={(p) => desk.look(p)} />
          {:else if tab === 'values'}
            {#if theirs?.session}
              <LapValues lap={theirs.id} {pages} trace={desk.view.trace} />
            {:else}<p>The page beside itself changes nothing.</p>{/if}
          {:else}
            <Pins
              {pair}
              at={desk.at}
              {names}
              working={desk}
              onlook={(s) => desk.show(s)}
              onchange={(pins) => (desk.pair = { ...pair, pins })}
            />
          {/if}
        </div>
      </Tabs>
    </div>
  {:else if !desk.problem}<p role="status" class="py-3">Laying the laps together …</p>{/if}
</div>
