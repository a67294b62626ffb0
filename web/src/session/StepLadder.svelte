<script lang="ts">
  import { cornerName } from '../ui/corner-name';
  import type { StepView, StepWord } from '../api/sessions';
  import type { MarkReference } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import { markWords } from '../page/words';
  import { between } from '../strip/lap-axis';
  import { lengthIn, whole } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { stepWords } from './brief-lines';
  import { ladder } from './ladder';

  interface Props {
    step: StepView;
    busy: boolean;
    onnote: (word: StepWord) => void;
  }
  const { step, busy, onnote }: Props = $props();
  const book = useBook();
  const WIDTH = 420;
  const drawing = $derived(ladder(step, book.view!.trace, WIDTH - 40));
  const length = (m: number) => preferences.lengthText(m);
  const place = (mark: MarkReference | null | undefined, station: number) =>
    mark ? markWords(mark, length) : `${length(station)} after the start line, no mark seen`;
  const toGo = $derived(between(book.view!.trace, step.now_m, step.target_m));
  const state = $derived(stepWords(step));
</script>

<li
  class="border-base-300 desk:flex-nowrap flex flex-wrap items-center gap-x-4 border-b py-2"
  data-step={step.corner}
>
  <div class="w-40 shrink-0">
    <a class="figures link text-xl font-semibold" href="/books/{book.id}/corner/{step.corner}"
      >{cornerName(step)}</a
    >
    <span class="figures block" data-state>{state}</span>
  </div>
  <svg
    viewBox="0 0 {WIDTH} 46"
    class="w-[420px] max-w-full shrink-0"
    role="img"
    aria-label="Steps of corner {step.corner}: {state}, {length(toGo)} to the target"
  >
    <line x1="20" x2={WIDTH - 20} y1="26" y2="26" stroke="var(--ink)" stroke-width="2" />
    {#each drawing as { x, metres }, i (i)}
      {@const now = step.begun && i === step.step}
      {@const past = step.proven || (step.begun && i < step.step)}
      <g transform="translate({20 + x} 26)">
        {#if now}
          <rect x="-13" y="-13" width="26" height="26" fill="var(--brake)" />
        {:else}
          <circle
            r="7"
            fill={past ? 'var(--ink)' : 'var(--color-base-100)'}
            stroke="var(--ink)"
            stroke-width="2"
          />
        {/if}
        <text
          y={now ? 5 : -12}
          text-anchor="middle"
          font-size="14"
          font-weight={now ? 700 : 400}
          style:fill={now ? 'var(--color-base-100)' : undefined}
          >{now ? i + 1 : whole(lengthIn(metres, preferences.length))}</text
        >
      </g>
    {/each}
  </svg>
  <p class="desk:basis-0 min-w-0 grow basis-full leading-snug">
    {#if !step.proven}
      Brake <strong>{place(step.now, step.now_m)}</strong>,
    {/if}
    target {place(step.target, step.target_m)}
    {#if step.heldBack}
      <span class="text-warning block font-semibold"
        ><span aria-hidden="true">▲</span> held back: {step.runOff_m == null
          ? 'little road outside'
          : `${length(step.runOff_m)} to what stands outside`}</span
      >
    {/if}
  </p>
  <div class="desk:w-56 flex shrink-0 flex-wrap justify-end gap-1">
    {#if !step.begun}
      <button class="btn" disabled={busy} onclick={() => onnote('begin')}>Begin</button>
    {:else}
      {#if !step.proven}
        <button class="btn" disabled={busy} onclick={() => onnote('made')}>Made it</button>
        <button class="btn" disabled={busy} onclick={() => onnote('missed')}>Missed</button>
      {/if}
      <button class="btn btn-ghost px-2" disabled={busy} onclick={() => onnote('forget')}
        >Forget</button
      >
    {/if}
  </div>
</li>
