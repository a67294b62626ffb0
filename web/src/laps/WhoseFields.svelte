<!-- @component Whose laps a file has, and in what: those of two are never taken together. -->
<script lang="ts">
  import type { Whose } from '../api/laps';

  interface Props {
    whose: Whose;
    known: Whose[];
    onwhose: (whose: Whose) => void;
  }
  const { whose, known, onwhose }: Props = $props();
  const id = $props.id();
  const drivers = $derived([...new Set(known.map((k) => k.driver).filter(Boolean))]);
  const vehicles = $derived([...new Set(known.map((k) => k.vehicle).filter(Boolean))]);
</script>

<div class="flex flex-wrap gap-x-4 gap-y-1 pt-3">
  <label class="flex grow items-center gap-2">
    <span class="w-16">Driver</span>
    <input
      class="input h-11 min-w-0 grow"
      data-whose-driver
      maxlength="120"
      list="{id}-drivers"
      placeholder="you"
      value={whose.driver}
      onchange={(e) => onwhose({ ...whose, driver: e.currentTarget.value.trim() })}
    />
  </label>
  <label class="flex grow items-center gap-2">
    <span class="w-16">Vehicle</span>
    <input
      class="input h-11 min-w-0 grow"
      data-whose-vehicle
      maxlength="120"
      list="{id}-vehicles"
      placeholder="the book's"
      value={whose.vehicle}
      onchange={(e) => onwhose({ ...whose, vehicle: e.currentTarget.value.trim() })}
    />
  </label>
  <datalist id="{id}-drivers"
    >{#each drivers as name (name)}<option value={name}></option>{/each}</datalist
  >
  <datalist id="{id}-vehicles"
    >{#each vehicles as name (name)}<option value={name}></option>{/each}</datalist
  >
</div>
