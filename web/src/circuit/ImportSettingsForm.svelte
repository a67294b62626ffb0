<script lang="ts">
  import { lengthFrom, lengthIn } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import Field from './Field.svelte';
  import HeightsChoice from './HeightsChoice.svelte';
  import NumberInput from '../ui/NumberInput.svelte';
  import type { CircuitPreview, ImportSettings } from './types';

  interface Props {
    preview: CircuitPreview;
    settings: ImportSettings;
    onchange: (settings: ImportSettings) => void;
  }
  const { preview, settings, onchange }: Props = $props();
  const shown = (m: number | undefined) =>
    m === undefined ? undefined : lengthIn(m, preferences.length);
  const metres = (v: number | undefined) =>
    v === undefined ? undefined : lengthFrom(v, preferences.length);
  const set = (part: Partial<ImportSettings>) => onchange({ ...settings, ...part });
  const wholeLaps = $derived(Math.floor((preview.track?.laps ?? 0) + 0.02));
  const lapNumbers = $derived(Array.from({ length: wholeLaps }, (_, k) => k + 1));
  const smoothing = [
    [0.1, 'closer to the points'],
    [1, 'as the noise asks'],
    [10, 'smoother'],
    [100, 'much smoother'],
  ] as const;
</script>

<section aria-label="What you say of it">
  <h2 class="text-2xl font-bold">What you say of it</h2>
  <Field label="Name">
    <input
      class="input h-11 w-52"
      aria-label="Name"
      value={settings.name ?? preview.name}
      maxlength="120"
      onchange={(e) => set({ name: e.currentTarget.value.trim() || undefined })}
    />
  </Field>
  <NumberInput
    label="Length it should have"
    unit={preferences.length}
    optional
    decimals={0}
    value={shown(settings.expectedLength_m)}
    min={shown(50)}
    max={shown(60000)}
    onchange={(v) => set({ expectedLength_m: metres(v) })}
  />
  <Field label="Smoothing">
    <select
      class="select h-11 w-52"
      aria-label="Smoothing"
      value={settings.smoothing ?? 1}
      onchange={(e) => set({ smoothing: Number(e.currentTarget.value) })}
    >
      {#each smoothing as [value, words] (value)}<option {value}>{words}</option>{/each}
    </select>
  </Field>
  {#if preview.track}
    <NumberInput
      label="Width left of the line"
      unit={preferences.length}
      value={shown(settings.widthLeft_m ?? 5)}
      min={shown(0.5)}
      max={shown(60)}
      onchange={(v) => set({ widthLeft_m: metres(v), widthRight_m: settings.widthRight_m ?? 5 })}
    />
    <NumberInput
      label="Width right of the line"
      unit={preferences.length}
      value={shown(settings.widthRight_m ?? 5)}
      min={shown(0.5)}
      max={shown(60)}
      onchange={(v) => set({ widthRight_m: metres(v), widthLeft_m: settings.widthLeft_m ?? 5 })}
    />
    {#if preview.track.heights}
      <HeightsChoice
        heights={preview.track.heights}
        level={settings.level}
        onchange={(level) => set({ level })}
      />
    {/if}
    <Field label="Recorded the wrong way round">
      <input
        type="checkbox"
        class="checkbox h-7 w-7"
        aria-label="Recorded the wrong way round"
        checked={settings.reversed ?? false}
        onchange={(e) => set({ reversed: e.currentTarget.checked })}
      />
    </Field>
    {#if preview.closed}
      <NumberInput
        label="Start line after"
        unit={preferences.length}
        decimals={0}
        value={shown(settings.startAt_m ?? 0)}
        min={0}
        max={shown(preview.length_m)}
        onchange={(v) => set({ startAt_m: metres(v) })}
      />
    {/if}
    {#if wholeLaps >= 2}
      <Field label="Laps of the recording">
        <select
          class="select h-11 w-52"
          aria-label="Laps of the recording"
          value={settings.lap ?? 0}
          onchange={(e) => set({ lap: Number(e.currentTarget.value) })}
        >
          <option value={0}>the median of all {wholeLaps}</option>
          {#each lapNumbers as lap (lap)}<option value={lap}>lap {lap} alone</option>{/each}
        </select>
      </Field>
    {/if}
  {/if}
</section>
