<script lang="ts">
  import Trash from '@lucide/svelte/icons/trash-2';
  import type { Hazard, Kerb, Mark, Zone } from '../api/types';
  import { lengthFrom, lengthIn } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import ChoiceField from './ChoiceField.svelte';
  import { useCircuit } from './circuit-state.svelte';
  import CornerTools from './CornerTools.svelte';
  import {
    beside,
    HAZARD_TYPES,
    KERB_PROFILES,
    KERB_USES,
    KIND_NAMES,
    LIMIT_RULES,
    MARK_TYPES,
    moved,
    onSide,
    ZONE_TYPES,
    type Thing,
  } from './edits';
  import Field from './Field.svelte';
  import NumberInput from '../ui/NumberInput.svelte';
  import StretchFields from './StretchFields.svelte';
  import type { DrawnCorner, LimitStretch } from './types';

  const circuit = useCircuit();
  const kind = $derived(circuit.selection!.kind);
  const thing = $derived(circuit.thing!);
  const road = $derived(circuit.view!.road);
  const shown = (metres: number) => lengthIn(metres, preferences.length);
  const metres = (value: number) => lengthFrom(value, preferences.length);
  const set = (part: Partial<Thing>) => circuit.change({ ...thing, ...part } as Thing);

  function setSide(side: Mark['side'] | undefined) {
    if (side === undefined) return;
    if (kind === 'marks') {
      set({ side, offsetM: beside(road, thing.fromM, side) });
    } else if (side === 'LEFT' || side === 'RIGHT') {
      const turned = onSide(thing, side) as Kerb;
      circuit.change({ ...turned, side } as Thing);
    } else set({ side });
  }
</script>

<section aria-label="What is picked" class="border-base-content rounded border-2 p-2">
  <div class="flex items-center justify-between">
    <h2 class="text-xl font-bold">{KIND_NAMES[kind]}</h2>
    <button class="btn btn-ghost px-2" onclick={() => circuit.remove()}>
      <Trash size={18} /> Remove
    </button>
  </div>
  {#key `${kind}-${circuit.selection!.index}`}
    {#if kind === 'marks'}
      {@const mark = thing as Mark}
      <Field label="Called">
        <input
          class="input h-11 w-44"
          aria-label="Called"
          value={mark.label}
          maxlength="80"
          required
          onchange={(e) =>
            e.currentTarget.value.trim() && set({ label: e.currentTarget.value.trim() })}
        />
      </Field>
      <ChoiceField
        label="Kind"
        value={mark.type}
        options={MARK_TYPES}
        onchange={(type) => set({ type })}
      />
    {:else if kind === 'kerbs'}
      {@const kerb = thing as Kerb}
      <ChoiceField
        label="Profile"
        value={kerb.profile}
        options={KERB_PROFILES}
        onchange={(v) => set({ profile: v })}
      />
    {:else if kind === 'zones'}
      <ChoiceField
        label="Kind"
        value={(thing as Zone).type}
        options={ZONE_TYPES}
        onchange={(type) => set({ type })}
      />
    {:else if kind === 'hazards'}
      <ChoiceField
        label="Kind"
        value={(thing as Hazard).type}
        options={HAZARD_TYPES}
        onchange={(type) => set({ type })}
      />
    {:else if kind === 'corners'}
      {@const corner = thing as DrawnCorner}
      <Field label="Name">
        <input
          class="input h-11 w-44"
          aria-label="Name"
          value={corner.name}
          maxlength="80"
          onchange={(e) => set({ name: e.currentTarget.value.trim() })}
        />
      </Field>
      <NumberInput
        label="Number"
        whole
        value={corner.number}
        min={1}
        max={999}
        onchange={(v) => set({ number: Math.round(v!) })}
      />
    {/if}
    {#if kind !== 'corners'}
      <ChoiceField
        label="Side"
        value={(thing as Mark).side}
        options={kind === 'marks'
          ? ['LEFT', 'RIGHT', 'OVER', 'ROAD']
          : kind === 'zones'
            ? ['ROAD', 'LEFT', 'RIGHT']
            : ['LEFT', 'RIGHT']}
        onchange={setSide}
      />
    {/if}
    <NumberInput
      label={thing.fromM === thing.toM ? 'Station' : 'From'}
      unit={preferences.length}
      value={shown(thing.fromM)}
      min={0}
      max={shown(road.length_m)}
      onchange={(v) =>
        thing.fromM === thing.toM
          ? circuit.change(moved(road, thing, metres(v!) - thing.fromM))
          : set({ fromM: metres(v!) })}
    />
    <NumberInput
      label="To"
      unit={preferences.length}
      value={shown(thing.toM)}
      min={0}
      max={shown(road.length_m)}
      onchange={(v) => set({ toM: metres(v!) })}
    />
    {#if kind === 'marks'}
      {@const mark = thing as Mark}
      <NumberInput
        label="From the middle"
        unit={preferences.length}
        value={shown(Math.abs(mark.offsetM))}
        min={0}
        max={shown(200)}
        onchange={(v) => set({ offsetM: (mark.side === 'RIGHT' ? -1 : 1) * metres(v!) })}
      />
      <NumberInput
        label="Height"
        unit={preferences.length}
        optional
        value={mark.heightM == null ? undefined : shown(mark.heightM)}
        min={0}
        max={shown(200)}
        onchange={(v) => set({ heightM: v === undefined ? null : metres(v) })}
      />
      {#if mark.type === 'DISTANCE_BOARD'}
        <NumberInput
          label="It says"
          optional
          decimals={0}
          value={mark.valueM}
          min={1}
          max={1000}
          onchange={(v) => set({ valueM: v ?? null })}
        />
      {/if}
      {#if mark.type === 'SHADOW'}
        <Field label="Seen there at">
          <input
            type="datetime-local"
            class="input h-11 w-48"
            aria-label="Seen there at, in universal time"
            value={mark.notedAt?.slice(0, 16) ?? ''}
            onchange={(e) =>
              set({ notedAt: e.currentTarget.value ? `${e.currentTarget.value}:00Z` : null })}
          />
        </Field>
        <p class="text-neutral text-sm">In universal time. The height is that of what casts it.</p>
      {/if}
    {:else if kind === 'kerbs'}
      {@const kerb = thing as Kerb}
      <NumberInput
        label="Height"
        unit="mm"
        decimals={0}
        value={kerb.heightMm}
        min={0}
        max={500}
        onchange={(v) => set({ heightMm: v! })}
      />
      <NumberInput
        label="Width"
        unit={preferences.length}
        decimals={2}
        value={shown(kerb.widthM)}
        min={shown(0.05)}
        max={shown(10)}
        onchange={(v) => set({ widthM: metres(v!) })}
      />
      <ChoiceField
        label="Use in the dry"
        value={kerb.use}
        options={KERB_USES}
        onchange={(use) => set({ use })}
      />
      <ChoiceField
        label="Use in the wet"
        value={kerb.useWet}
        options={KERB_USES}
        onchange={(useWet) => set({ useWet })}
      />
    {:else if kind === 'zones'}
      <NumberInput
        label="Grip there"
        unit="%"
        decimals={0}
        value={100 * (thing as Zone).gripFactor}
        min={20}
        max={120}
        onchange={(v) => set({ gripFactor: v! / 100 })}
      />
    {:else if kind === 'hazards'}
      <NumberInput
        label="Beyond the line"
        unit={preferences.length}
        value={shown((thing as Hazard).distanceM)}
        min={0}
        max={shown(500)}
        onchange={(v) => set({ distanceM: metres(v!) })}
      />
    {:else if kind === 'stretches'}
      <StretchFields stretch={thing as LimitStretch} onchange={set} />
    {:else}
      {@const corner = thing as DrawnCorner}
      <ChoiceField
        label="Track limits"
        value={corner.rule ?? ''}
        empty="as all round"
        options={LIMIT_RULES}
        onchange={(rule) => set({ rule: rule ?? null })}
      />
      <Field label="Linked with the next">
        <input
          type="checkbox"
          class="checkbox h-7 w-7"
          checked={corner.linkWithNext}
          onchange={(e) => set({ linkWithNext: e.currentTarget.checked })}
        />
      </Field>
      <CornerTools />
    {/if}
    {#if kind !== 'corners'}
      <Field label="Note">
        <input
          class="input h-11 w-48"
          aria-label="Note"
          maxlength="300"
          value={(thing as Mark).note ?? ''}
          onchange={(e) => set({ note: e.currentTarget.value })}
        />
      </Field>
    {/if}
  {/key}
</section>
