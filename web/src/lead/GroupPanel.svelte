<!-- @component The group: who drives, in which order, how long each behind the leader, at which pace. -->
<script lang="ts">
  import NumberInput from '../ui/NumberInput.svelte';
  import type { Member } from '../api/lead';
  import { moved, newKey, without } from './lead-day';
  import { useLead } from './lead-state.svelte';
  import WordsEditor from './WordsEditor.svelte';

  const desk = useLead();
  const lead = $derived(desk.lead!);
  const day = $derived(lead.day);
  let name = $state('');
  let vehicle = $state('');

  const put = (key: string, change: Partial<Member>) =>
    desk.change((d) => ({
      ...d,
      drivers: d.drivers.map((m) => (m.key === key ? { ...m, ...change } : m)),
    }));

  function add(event: SubmitEvent) {
    event.preventDefault();
    if (!name.trim()) return;
    const said = { name: name.trim(), vehicle: vehicle.trim() };
    void desk
      .change((d) => ({
        ...d,
        drivers: [
          ...d.drivers,
          { key: newKey(d.drivers, said.name), ...said, fromLap: d.lap, goneFromLap: null },
        ],
      }))
      .then(() => {
        if (!desk.problem) name = vehicle = '';
      });
  }

  const fileOf = (key: string) => day.files.find((f) => f.driver === key)?.file ?? '';
  const giveFile = (key: string, file: string) =>
    desk.change((d) => ({
      ...d,
      files: [
        ...d.files.filter((f) => f.driver !== key && f.file !== file),
        ...(file ? [{ driver: key, file }] : []),
      ],
    }));
</script>

<div class="desk:flex gap-6">
  <div class="min-w-0 grow">
    {#if day.drivers.length === 0}
      <p class="pb-2 text-lg">
        Nobody yet: add the drivers in the order of the first lap, the first directly behind you.
      </p>
    {/if}
    <ol data-group>
      {#each day.drivers as d, k (d.key)}
        <li
          class="border-base-300 flex flex-wrap items-end gap-2 border-b py-2"
          data-member={d.key}
        >
          <span class="figures w-6 pb-2 text-xl font-semibold">{k + 1}</span>
          <label class="flex flex-col text-sm"
            >name
            <input
              class="input h-11 w-40 px-2 text-base"
              aria-label="Name of driver {k + 1}"
              maxlength="80"
              value={d.name}
              onchange={(e) => put(d.key, { name: e.currentTarget.value })}
            /></label
          >
          <label class="flex flex-col text-sm"
            >vehicle
            <input
              class="input h-11 w-44 px-2 text-base"
              aria-label="Vehicle of driver {k + 1}"
              maxlength="80"
              value={d.vehicle}
              onchange={(e) => put(d.key, { vehicle: e.currentTarget.value })}
            /></label
          >
          <label class="flex flex-col text-sm"
            >laps read in
            <select
              class="select h-11 w-40"
              value={fileOf(d.key)}
              onchange={(e) => giveFile(d.key, e.currentTarget.value)}
            >
              <option value="">none</option>
              {#each lead.files as file (file.id)}<option value={file.id}>{file.name}</option
                >{/each}
            </select></label
          >
          <span class="figures w-24 pb-1 leading-tight">
            {d.goneFromLap != null
              ? `gone from lap ${d.goneFromLap}`
              : d.fromLap > 1
                ? `since lap ${d.fromLap}`
                : ''}
          </span>
          <button
            class="btn btn-ghost px-2"
            aria-label="{d.name} forward"
            disabled={k === 0}
            onclick={() => desk.change((x) => ({ ...x, drivers: moved(x.drivers, d.key, -1) }))}
            >↑</button
          >
          <button
            class="btn btn-ghost px-2"
            aria-label="{d.name} back"
            disabled={k === day.drivers.length - 1}
            onclick={() => desk.change((x) => ({ ...x, drivers: moved(x.drivers, d.key, 1) }))}
            >↓</button
          >
          {#if d.goneFromLap != null}
            <button class="btn btn-ghost px-2" onclick={() => put(d.key, { goneFromLap: null })}
              >Here again</button
            >
          {:else}
            <button
              class="btn btn-ghost px-2"
              onclick={() => desk.change((x) => without(x, d.key, lead.remarks))}
              >{d.name.split(' ')[0]} leaves</button
            >
          {/if}
        </li>
      {/each}
    </ol>
    <form class="flex flex-wrap items-end gap-2 pt-3" onsubmit={add}>
      <label class="flex flex-col text-sm"
        >name of another driver
        <input class="input h-11 w-48 px-2 text-base" maxlength="80" bind:value={name} /></label
      >
      <label class="flex flex-col text-sm"
        >vehicle
        <input class="input h-11 w-48 px-2 text-base" maxlength="80" bind:value={vehicle} /></label
      >
      <button class="btn" disabled={!name.trim()}
        >Add{day.lap > 1 ? ` from lap ${day.lap}` : ''}</button
      >
    </form>
    <p class="text-neutral max-w-2xl pt-3 leading-snug">
      Whoever leaves is passed over from then on; what was said to them stays. Whoever comes late
      has a turn before those who had theirs.
    </p>
  </div>
  <div class="desk:w-72 max-desk:pt-4 shrink-0">
    <div class="flex flex-wrap gap-3">
      <NumberInput
        label="laps of the session"
        whole
        value={day.laps}
        min={day.lap}
        max={200}
        onchange={(v) => desk.change((d) => ({ ...d, laps: v! }))}
      />
      <NumberInput
        label="laps each behind you"
        whole
        value={day.lapsEach}
        min={1}
        max={20}
        onchange={(v) => desk.change((d) => ({ ...d, lapsEach: v! }))}
      />
      <NumberInput
        label="lead pace"
        unit="%"
        value={day.paceShare * 100}
        min={30}
        max={100}
        onchange={(v) => desk.change((d) => ({ ...d, paceShare: v! / 100 }))}
      />
    </div>
    <WordsEditor />
  </div>
</div>
