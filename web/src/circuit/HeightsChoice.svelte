<!-- @component Whether recorded heights are taken or the road is level, with the grades that each gives. -->
<script lang="ts">
  import { preferences } from '../units/preferences.svelte';
  import { doubtWords, gradeWords } from './heights';
  import type { RecordedHeights } from './types';

  interface Props {
    heights: RecordedHeights;
    /** Undefined until it is said. */
    level: boolean | undefined;
    onchange: (level: boolean) => void;
  }
  const { heights, level, onchange }: Props = $props();
  const taken = $derived(level ?? (heights.doubtful ? undefined : false));
</script>

<fieldset class="border-base-300 grid gap-1 rounded border p-2" data-heights>
  <legend class="px-1 font-semibold">Heights</legend>
  {#if heights.doubtful}
    <p class="leading-snug">
      {doubtWords(heights, (m) => preferences.acrossText(m))} Which is nearer to the place you know?
    </p>
  {/if}
  <label class="flex min-h-11 items-center gap-2">
    <input
      type="radio"
      class="radio border-base-content border-2"
      name="heights"
      checked={taken === false}
      onchange={() => onchange(false)}
    />
    <span class="leading-snug"
      >take heights: <span class="figures">{gradeWords(heights)}</span>, {preferences.lengthText(
        heights.riseM,
      )} between lowest and highest</span
    >
  </label>
  <label class="flex min-h-11 items-center gap-2">
    <input
      type="radio"
      class="radio border-base-content border-2"
      name="heights"
      checked={taken === true}
      onchange={() => onchange(true)}
    />
    <span>level: no grade anywhere</span>
  </label>
</fieldset>
