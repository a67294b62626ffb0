<script lang="ts">
  import ColumnsTable from '../ui/ColumnsTable.svelte';
  import Dialog from '../ui/Dialog.svelte';
  import type { Asking } from './debrief-state.svelte';

  interface Props {
    asking: Asking;
    onmap: (header: string, column: string) => void;
    ontake: () => void;
    onclose: () => void;
  }
  const { asking, onmap, ontake, onclose }: Props = $props();
  const preview = $derived(asking.preview);
</script>

<Dialog title="What is in {asking.file.name}?" {onclose}>
  <p class="leading-snug">
    {#if preview.missing.length}
      Not everything that is needed was found by its name. Say which column is what; it is kept for
      the next file with the same header.
    {:else if preview.remembered}These columns were named before; change what is wrong.{:else}The
      columns as they were recognised; change what is wrong.{/if}
  </p>
  {#each preview.missing as words (words)}
    <p class="text-warning font-semibold">▲ {words}</p>
  {/each}
  <div class="max-h-[50vh] overflow-y-auto pt-2">
    <ColumnsTable columns={preview.columns} choices={preview.choices} {onmap} />
  </div>
  <div class="flex gap-2 pt-3">
    <button class="btn btn-primary" disabled={preview.missing.length > 0} onclick={ontake}
      >Bring the laps in</button
    >
    <button class="btn btn-ghost" onclick={onclose}>Leave it</button>
  </div>
</Dialog>
