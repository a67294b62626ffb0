<!-- @component The columns of a file with any names, each with what it is taken for. -->
<script lang="ts">
  import { columnWords } from './columns';

  interface Column {
    header: string;
    /** What it is taken for; none where it is left out. */
    is?: string | null;
    first: string[];
    least?: number | null;
    most?: number | null;
  }
  interface Props {
    columns: Column[];
    choices: string[];
    onmap: (header: string, column: string) => void;
  }
  const { columns, choices, onmap }: Props = $props();
  const ranges = $derived(columns.some((column) => column.least != null));
  const figure = (n: number) => Number(n.toPrecision(5)).toLocaleString('en');
</script>

<table class="figures as-lines w-full" data-columns>
  <thead>
    <tr class="border-base-content border-b-2 text-left">
      <th>in the file</th><th>begins with</th>
      {#if ranges}<th>from … to</th>{/if}
      <th>is</th>
    </tr>
  </thead>
  <tbody>
    {#each columns as column, i (i)}
      <tr class="border-base-300 border-b">
        <td class="max-w-40 truncate font-semibold">{column.header || '(no name)'}</td>
        <td class="text-neutral max-w-40 truncate">{column.first.slice(0, 3).join('  ')}</td>
        {#if ranges}
          <td class="text-neutral whitespace-nowrap"
            >{column.least == null || column.most == null
              ? '–'
              : `${figure(column.least)} … ${figure(column.most)}`}</td
          >
        {/if}
        <td class="py-0.5">
          <select
            class="select h-11 w-52 text-base"
            aria-label="{column.header} is"
            value={column.is ?? ''}
            onchange={(e) => onmap(column.header, e.currentTarget.value)}
          >
            <option value="">left out</option>
            {#each choices as choice (choice)}<option value={choice}>{columnWords(choice)}</option
              >{/each}
          </select>
        </td>
      </tr>
    {/each}
  </tbody>
</table>
