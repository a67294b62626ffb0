<script lang="ts">
  import { api } from '../api/client';
  import { Working } from '../api/working.svelte';
  import { navigate } from '../router';
  import Header from '../ui/Header.svelte';
  import Problem from '../ui/Problem.svelte';
  import Field from './Field.svelte';
  import { heightsOpen } from './heights';
  import ImportPreview from './ImportPreview.svelte';
  import ImportSettingsForm from './ImportSettingsForm.svelte';
  import { say } from '../say/every';
  import type { CircuitPreview, CircuitSummary, ImportSettings, RoadColumns } from './types';
  import ColumnsTable from '../ui/ColumnsTable.svelte';
  import FileButton from '../ui/FileButton.svelte';
  import LongWork from '../ui/LongWork.svelte';

  let file = $state.raw<File>();
  let settings = $state.raw<ImportSettings>({});
  let preview = $state.raw<CircuitPreview>();
  /** What the columns are taken for; none are asked for where the file is no table. */
  let table = $state.raw<RoadColumns>();
  const reading = new Working();
  const storing = new Working();
  const problem = $derived(reading.problem ?? storing.problem);
  let running: AbortController | undefined;
  /** Circuit of which the file becomes the next layout version; empty for a new circuit. */
  let place = $state('');
  let circuits = $state.raw<CircuitSummary[]>([]);
  api.circuits().then(
    (list) => (circuits = list),
    () => {},
  );

  async function look(next: ImportSettings) {
    settings = next;
    if (!file) return;
    running?.abort();
    storing.clear();
    const { signal } = (running = new AbortController());
    await reading.run(async () => {
      table = await api.roadColumns(file!, settings, signal);
      preview = table.missing.length
        ? undefined
        : await api.previewCircuit(file!, settings, signal);
    });
    if (reading.problem) preview = undefined;
  }

  const name = (header: string, column: string) =>
    look({ ...settings, columns: { ...settings.columns, [header]: column } });

  function choose(chosen: File) {
    file = chosen;
    preview = table = undefined;
    void look({});
  }

  async function take() {
    await storing.run(async () => {
      const { id } = place
        ? await api.importLayout(place, file!, settings, 'Surveyed anew')
        : await api.importCircuit(file!, settings);
      await navigate('/circuits/:id', { params: { id } });
    });
  }
</script>

<svelte:head><title>Bring in a circuit · Marvek</title></svelte:head>
<Header>Bring in a circuit</Header>
<main class="mx-auto max-w-6xl px-4 pb-8">
  <div class="flex flex-wrap items-center gap-x-4 pb-3">
    <h1 class="text-4xl font-bold">Bring in a circuit</h1>
    <FileButton look="h-12" data-take="circuit" onfile={choose}
      >{file ? 'Another file' : 'Choose a file'}</FileButton
    >
    {#if file}<span class="figures text-neutral truncate text-lg">{file.name}</span>{/if}
    {#if reading.busy}
      <LongWork label="Reading" oncancel={() => running?.abort()} />
    {/if}
  </div>
  {#if problem}<Problem
      {problem}
      onclose={() => {
        reading.clear();
        storing.clear();
      }}
    />{/if}
  {#if table?.columns.length}
    <details class="pt-2" open={table.missing.length > 0} data-naming>
      <summary class="cursor-pointer py-2 text-xl font-bold">What the columns are</summary>
      <p class="leading-snug">
        {#if table.missing.length}
          No place was found by the names. Say which columns hold it: metres to the east and to the
          north, or latitude and longitude. Widths and heights are taken where there are any.
        {:else}As they were recognised by their names; change what is wrong.{/if}
      </p>
      <div class="max-w-3xl"><ColumnsTable {...table} onmap={name} /></div>
    </details>
  {/if}
  {#if preview && file}
    <div class="grid gap-6 pt-2 md:grid-cols-[minmax(0,1fr)_360px]">
      <ImportPreview
        {preview}
        {settings}
        onstart={(startAt_m) => look({ ...settings, startAt_m })}
      />
      <div class="grid content-start gap-3">
        <ImportSettingsForm {preview} {settings} onchange={look} />
        {#if preview.warnings.length}
          <div>
            <h2 class="text-xl font-bold">To know before</h2>
            <ul class="list-disc pl-5 leading-snug" role="status">
              {#each preview.warnings as warning (warning)}
                <li>{say(warning)}</li>
              {/each}
            </ul>
          </div>
        {/if}
        {#if circuits.length}
          <Field label="Taken in as">
            <select class="select h-11 w-52" aria-label="Taken in as" bind:value={place}>
              <option value="">a new circuit</option>
              {#each circuits as circuit (circuit.id)}
                <option value={circuit.id}>next version of {circuit.name}</option>
              {/each}
            </select>
          </Field>
        {/if}
        <button
          class="btn btn-primary h-12"
          onclick={take}
          disabled={reading.busy || storing.busy || heightsOpen(preview, settings)}
          data-take-in>{storing.busy ? 'Storing …' : 'Take it in'}</button
        >
        <p class="text-neutral">
          {heightsOpen(preview, settings)
            ? 'Say first whether the heights are taken or the road is level.'
            : 'Nothing is stored before that.'}
        </p>
      </div>
    </div>
  {:else if !file}
    <div class="max-w-3xl text-lg leading-relaxed">
      <p>Any of these, up to 64 MB:</p>
      <ul class="list-disc pl-6">
        <li>
          <strong>GPX</strong>: the circuit driven slowly or walked once round, with a logger or a
          telephone; of several laps the median is taken. Its waypoints become marks.
        </li>
        <li>
          <strong>Circuit GeoJSON</strong>: a circuit as Marvek gives it out, marks and kerbs with
          it. A plain GeoJSON line is read like a recording.
        </li>
        <li>
          <strong>CSV</strong>: surveyed points with their widths, or the laps of a logger; columns
          of any name, in metres or in latitude and longitude. Which is what, you say where the
          names do not.
        </li>
      </ul>
      <p class="pt-3">First it is shown what was understood; then you take it in.</p>
    </div>
  {/if}
</main>
