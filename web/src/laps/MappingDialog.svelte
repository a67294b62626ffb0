<script lang="ts">
  import Dialog from '../ui/Dialog.svelte';
  import { columnWords } from './columns';
  import type { Asking } from './debrief-state.svelte';

  interface Props {
    asking: Asking;
    onmap: (header: string, column: string) => void;
    ontake: () => void;
    onclose: () => void;
  }
  const { asking, onmap, ontake, onclose }: Props = $props();
  const preview = $derived(asking.preview);
  const range = (n: number) => Number(n.toPrecision(5)).toLocaleString('en');
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
    <table class="figures w-full" data-columns>
      <thead>
        <tr class="border-base-content border-b-2 text-left">
          <th>in the file</th><th>begins with</th><th>from … to</th><th>is</th>
        </tr>
      </thead>
      <tbody>
        {#each preview.columns as column, i (i)}
          <tr class="border-base-300 border-b">
            <td class="max-w-32 truncate font-semibold">{column.header || '(no name)'}</td>
            <td class="text-neutral max-w-32 truncate">{column.first.slice(0, 3).join('  ')}</td>
            <td class="text-neutral whitespace-nowrap"
              >{column.least == null || column.most == null
                ? '–'
                : `${range(column.least)} … ${range(column.most)}`}</td
            >
            <td class="py-0.5">
              <select
                class="select h-11 w-44 text-base"
                aria-label="{column.header} is"
                value={column.is ?? ''}
                onchange={(e) => onmap(column.header, e.currentTarget.value)}
              >
                <option value="">left out</option>
                {#each preview.choices as choice (choice)}<option value={choice}
                    >{columnWords(choice)}</option
                  >{/each}
              </select>
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  <div class="flex gap-2 pt-3">
    <button class="btn btn-primary" disabled={preview.missing.length > 0} onclick={ontake}
      >Bring the laps in</button
    >
    <button class="btn btn-ghost" onclick={onclose}>Leave it</button>
  </div>
</Dialog>
