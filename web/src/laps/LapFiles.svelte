<script lang="ts">
  import type { LapFile } from '../api/laps';

  interface Props {
    session: string;
    files: LapFile[];
    taking: boolean;
    ontake: (file: File | undefined) => void;
    oncancel: () => void;
    onremove: (id: string) => void;
  }
  const { session, files, taking, ontake, oncancel, onremove }: Props = $props();
</script>

<div class="flex flex-wrap items-center gap-2 py-1">
  <label class="btn">
    Bring in laps
    <input
      type="file"
      class="sr-only"
      accept=".csv,text/csv,.txt"
      data-laps-in
      onchange={(e) => {
        ontake(e.currentTarget.files?.[0]);
        e.currentTarget.value = '';
      }}
    />
  </label>
  {#if taking}
    <span role="status">Reading …</span>
    <button class="btn btn-ghost" onclick={oncancel}>Cancel</button>
  {/if}
  <a
    class="btn btn-ghost"
    href="/api/sessions/{session}/simulated.laps.csv?laps=6&seed={files.length + 1}"
    download>A file of the simulated logger</a
  >
  {#each files as file (file.id)}
    <details class="dropdown">
      <summary class="btn btn-ghost figures" data-file={file.name}
        >{file.name}{file.corrections.length ? ' ▲' : ''}</summary
      >
      <div
        class="dropdown-content border-base-content bg-base-100 rounded-box z-20 w-96 border-2 p-3 leading-snug"
      >
        <p>{file.samples.toLocaleString('en')} samples; taken: {file.used.join(', ')}.</p>
        {#if file.unknown.length}<p>Not known and left out: {file.unknown.join(', ')}.</p>{/if}
        {#each file.corrections as correction (correction)}
          <p class="text-warning font-semibold">▲ {correction}</p>
        {:else}<p class="text-neutral">Nothing had to be put right.</p>{/each}
        <div class="flex gap-2 pt-2">
          <a class="btn btn-ghost" href="/api/laps/{file.id}/file.csv" download
            >As it was brought in</a
          >
          <button class="btn btn-ghost text-error" onclick={() => onremove(file.id)}
            >Take {file.name} out</button
          >
        </div>
      </div>
    </details>
  {/each}
</div>
