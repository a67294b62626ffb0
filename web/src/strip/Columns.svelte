<script lang="ts">
  import type { CornerPage } from '../api/types';
  import { speedIn, whole } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { gearBlocks, limitBlocks, secondTicks, speedNotes } from './columns';
  import { useFrame } from './frame';

  const { page }: { page: CornerPage } = $props();
  const frame = useFrame();
  const f = $derived(frame());
  const gearX = $derived(f.gears);
  const REAR = 2;
  const LIMIT_WIDTH = 12;
  const limitX = $derived(gearX - LIMIT_WIDTH - 4);
  const limits = $derived(limitBlocks(f));
  /** Front, rear, both, a lifting wheel. */
  const LETTERS = ['', 'F', 'R', '', 'L'];
  const seconds = (s: number) => (s < 0 ? `−${-s}` : s === 0 ? '0' : `+${s}`);
</script>

{#each secondTicks(f, page) as tick (tick.seconds)}
  <line x1="34" x2="42" y1={tick.y} y2={tick.y} stroke="var(--quiet)" />
  <text x="30" y={tick.y + 4} font-size="13" text-anchor="end" class="quiet"
    >{seconds(tick.seconds)} s</text
  >
{/each}
{#each gearBlocks(f) as block (block.bottom)}
  <rect
    x={gearX}
    y={block.top + 1}
    width="26"
    height={Math.max(1, block.bottom - block.top - 2)}
    rx="2"
    fill="var(--color-base-100)"
    stroke="var(--ink)"
    stroke-width="1.5"
  />
  {#if block.bottom - block.top > 15}
    <text
      x={gearX + 13}
      y={(block.top + block.bottom) / 2 + 6}
      font-size="17"
      font-weight="700"
      text-anchor="middle"
    >
      {block.gear}
    </text>
  {/if}
{/each}
{#each limits as block (block.bottom)}
  <rect
    x={limitX}
    y={block.top + 0.5}
    width={LIMIT_WIDTH}
    height={Math.max(1, block.bottom - block.top - 1)}
    fill={block.by === REAR ? 'var(--color-base-300)' : 'var(--color-base-100)'}
    stroke="var(--quiet)"
    data-limit={block.by}
  />
  {#if block.bottom - block.top > 16 && LETTERS[block.by]}
    <text
      x={limitX + LIMIT_WIDTH / 2}
      y={(block.top + block.bottom) / 2 + 4}
      font-size="12"
      font-weight="700"
      text-anchor="middle">{LETTERS[block.by]}</text
    >
  {/if}
{/each}
{#if limits.length}
  <text x={limitX + LIMIT_WIDTH} y={f.height - 3} font-size="12" text-anchor="end" class="quiet"
    >limit</text
  >
{/if}
{#each speedNotes(f, page) as note (note.from)}
  <line x1={gearX + 28} y1={note.from} x2={gearX + 40} y2={note.y} stroke="var(--quiet)" />
  <text
    x={f.width - 4}
    y={note.y + (note.lowest ? 10 : 7)}
    font-size={note.lowest ? 29 : 21}
    font-weight={note.lowest ? 700 : 400}
    text-anchor="end"
  >
    {whole(speedIn(note.speedMps, preferences.speed))}
  </text>
{/each}
<text x="30" y={f.height - 3} font-size="12" text-anchor="end" class="quiet"
  >from {page.brake.at_m === undefined ? 'T' : 'B'}</text
>
<text x={gearX + 13} y={f.height - 3} font-size="12" text-anchor="middle" class="quiet">gear</text>
<text x={f.width - 4} y={f.height - 3} font-size="12" text-anchor="end" class="quiet"
  >{preferences.speed}</text
>

<style>
  .quiet {
    fill: var(--quiet);
  }
</style>
