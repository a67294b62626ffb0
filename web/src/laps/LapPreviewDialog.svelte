<!-- @component What a file of laps would become, before anything of it is kept. -->
<script lang="ts">
  import ColumnsTable from '../ui/ColumnsTable.svelte';
  import Dialog from '../ui/Dialog.svelte';
  import type { Whose } from '../api/laps';
  import { reasonWords, say } from '../say/every';
  import type { Asking } from './debrief-state.svelte';
  import HeaderLines from './HeaderLines.svelte';
  import PreviewedPath from './PreviewedPath.svelte';
  import { countOfKinds, movedWords } from './lap-words';
  import WhoseFields from './WhoseFields.svelte';

  interface Props {
    asking: Asking;
    /** Drivers and vehicles that the session has laps of. */
    known: Whose[];
    onmap: (header: string, column: string) => void;
    onpoint: (line: number) => void;
    onwhose: (whose: Whose) => void;
    ontake: () => void;
    onclose: () => void;
  }
  const { asking, known, onmap, onpoint, onwhose, ontake, onclose }: Props = $props();
  const preview = $derived(asking.preview);
  const read = $derived(preview.read);
  const KIND = { csv: 'a table', nmea: 'a receiver’s log (NMEA 0183)', gpx: 'a track (GPX)' };
</script>

<Dialog title="What is in {asking.file.name}?" wide {onclose}>
  {#if read}
    <div class="flex flex-wrap gap-x-6 gap-y-2" data-previewed>
      <PreviewedPath road={read.road} path={read.path} />
      <div class="min-w-64 grow basis-64">
        <p class="figures text-lg">
          {KIND[preview.kind]}, {read.samples.toLocaleString('en')} samples, {read.rate_hz} a second
        </p>
        <p class="figures text-lg font-semibold" data-kinds>{countOfKinds(read.laps)}</p>
        {#each movedWords(read.put_right) as words (words)}
          <p class="figures font-semibold" data-moved>{words}</p>
        {/each}
        {#if preview.remembered}
          <p class="text-neutral">The columns are named as you named them the last time.</p>
        {/if}
      </div>
    </div>
    {#if read.corrections.length}
      <h3 class="pt-3 text-lg font-bold">What is put right</h3>
      <ul data-corrections>
        {#each read.corrections as said, i (i)}<li class="leading-snug">▲ {say(said)}</li>{/each}
      </ul>
    {:else}<p class="text-neutral pt-2">Nothing has to be put right.</p>{/if}
    {#each read.missing as said (said.code)}<p class="text-neutral leading-snug">
        {say(said)}
      </p>{/each}
  {:else}
    <p class="leading-snug">
      {#if preview.problem}It cannot be read like this.{:else}Not everything that is needed was
        found by its name. Say which column is what; it is kept for your next file with the same
        header.{/if}
    </p>
    {#if preview.problem}
      <p class="text-error font-semibold" role="alert" data-problem>
        ▲ {reasonWords(preview.problem)}
      </p>
    {/if}
  {/if}
  {#each preview.missing as said (said.code)}
    <p class="text-warning font-semibold">▲ {say(said)}</p>
  {/each}
  {#if preview.columns.length}
    <HeaderLines lines={preview.lines} chosen={preview.headerLine} {onpoint} />
    <details class="pt-2" open={!read}>
      <summary class="link min-h-11 content-center decoration-dotted"
        >Columns and their units</summary
      >
      <div class="max-h-[45vh] overflow-auto">
        <ColumnsTable columns={preview.columns} choices={preview.choices} {onmap} />
      </div>
    </details>
  {/if}
  <WhoseFields whose={asking.whose} {known} {onwhose} />
  <div class="bg-base-100 sticky -bottom-6 flex gap-2 py-3">
    <button class="btn btn-primary" disabled={!read} onclick={ontake}>Bring the laps in</button>
    <button class="btn btn-ghost" onclick={onclose}>Leave it</button>
  </div>
</Dialog>
