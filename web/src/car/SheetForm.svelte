<script lang="ts">
  import { untrack } from 'svelte';
  import type { SetupSheet } from '../api/answers';
  import Dialog from '../ui/Dialog.svelte';
  import NumberInput from '../ui/NumberInput.svelte';
  import { SHEET_FIELDS, typed, withTyped } from './sheet';

  interface Props {
    sheet: SetupSheet;
    onkeep: (sheet: SetupSheet) => void;
    onclose: () => void;
  }
  const { sheet, onkeep, onclose }: Props = $props();
  let now = $state.raw(untrack(() => sheet));
  const text = (key: 'name' | 'date' | 'tyres' | 'notes', value: string) => {
    const next = { ...now, [key]: value };
    if (value === '' && key !== 'name') delete next[key];
    now = next as SetupSheet;
  };

  function keep(event: SubmitEvent) {
    event.preventDefault();
    onkeep(now);
  }
</script>

{#snippet numbers(computed: boolean)}
  <div class="grid grid-cols-1 gap-x-5 sm:grid-cols-2">
    {#each SHEET_FIELDS.filter((f) => f.computed === computed) as field (field.key)}
      <NumberInput
        label={field.label}
        unit={field.unit}
        min={field.min}
        max={field.max}
        decimals={3}
        optional
        value={typed(field, now)}
        onchange={(value) => (now = withTyped(field, now, value))}
      />
    {/each}
  </div>
{/snippet}

<Dialog title="Setup sheet" {onclose}>
  <form class="grid gap-2" onsubmit={keep}>
    <div class="grid grid-cols-[1fr_auto] gap-3">
      <label class="grid gap-1">
        <span>Name</span>
        <input
          class="input h-11 w-full"
          required
          maxlength="120"
          value={now.name}
          oninput={(e) => text('name', e.currentTarget.value)}
        />
      </label>
      <label class="grid gap-1">
        <span>Date</span>
        <input
          type="date"
          class="input h-11"
          value={now.date ?? ''}
          onchange={(e) => text('date', e.currentTarget.value)}
        />
      </label>
    </div>
    <h3 class="figures pt-1 text-lg font-semibold">The model computes with</h3>
    {@render numbers(true)}
    <h3 class="figures pt-1 text-lg font-semibold">Kept beside it</h3>
    {@render numbers(false)}
    <label class="grid gap-1">
      <span>Tyres and their laps</span>
      <input
        class="input h-11 w-full"
        maxlength="120"
        value={now.tyres ?? ''}
        onchange={(e) => text('tyres', e.currentTarget.value)}
      />
    </label>
    <label class="grid gap-1">
      <span>Notes</span>
      <textarea
        class="textarea h-14 w-full"
        maxlength="2000"
        value={now.notes ?? ''}
        onchange={(e) => text('notes', e.currentTarget.value)}></textarea>
    </label>
    <div class="flex justify-end gap-2">
      <button type="button" class="btn" onclick={onclose}>Back</button>
      <button class="btn btn-primary" disabled={!now.name.trim()}>Keep the sheet</button>
    </div>
  </form>
</Dialog>
