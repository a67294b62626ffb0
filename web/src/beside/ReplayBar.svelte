<!-- @component One bar under strip and plan: play, how fast, and which part. -->
<script lang="ts">
  import Pause from '@lucide/svelte/icons/pause';
  import Play from '@lucide/svelte/icons/play';
  import type { CornerPage } from '../api/types';
  import { cornerName } from '../ui/corner-name';
  import { sectorsOf, type Part } from './pair';
  import { SHARES, type PairDesk } from './pair-desk.svelte';

  interface Props {
    desk: PairDesk;
    pages: CornerPage[];
  }
  const { desk, pages }: Props = $props();
  const NAMES = { 0.25: '¼', 0.5: '½', 1: '1' };
  const sectors = $derived(desk.pair ? sectorsOf(desk.cuts, desk.pair.length_m) : []);
  /** A corner that runs over the line is looked at up to the line. */
  const corners = $derived(
    (desk.pair?.corners ?? []).map((c) => {
      const page = pages.find((p) => p.corner === c.corner)!;
      const to = c.to_m > c.from_m ? c.to_m : desk.pair!.length_m;
      return { name: cornerName(page), from: c.from_m, to } satisfies Part;
    }),
  );
  const parts = $derived([desk.whole, ...(desk.cuts.length ? sectors : []), ...corners]);
  const chosen = $derived(
    Math.max(
      0,
      parts.findIndex((p) => p.from === desk.part.from && p.to === desk.part.to),
    ),
  );
</script>

<div class="border-base-content flex flex-wrap items-center gap-2 rounded border-2 p-1" data-replay>
  <button
    class="btn btn-primary h-11 w-16"
    aria-label={desk.playing ? 'Stop the replay' : 'Play'}
    onclick={(e) => (desk.playing ? desk.pause() : desk.play(e.timeStamp))}
    >{#if desk.playing}<Pause size={22} />{:else}<Play size={22} />{/if}</button
  >
  <div class="flex" role="group" aria-label="How fast">
    {#each SHARES as share (share)}
      <button
        class={[
          'btn figures h-11 w-11 px-0 text-lg',
          desk.share === share ? 'btn-active' : 'btn-ghost',
        ]}
        aria-pressed={desk.share === share}
        onclick={(e) => desk.setShare(share, e.timeStamp)}>{NAMES[share]}</button
      >
    {/each}
  </div>
  <select
    class="select figures h-11 min-w-24 grow basis-24 text-base"
    aria-label="What is replayed"
    value={chosen}
    onchange={(e) => desk.look(parts[Number(e.currentTarget.value)])}
  >
    {#each parts as part, i (`${part.name} ${part.from}`)}
      <option value={i}>{part.name}</option>
    {/each}
  </select>
  <button
    class="btn btn-ghost h-11 px-2"
    onclick={() => desk.cut()}
    title="Ends a sector of your own here; again takes it back">Cut here</button
  >
</div>
