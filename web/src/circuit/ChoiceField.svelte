<script lang="ts">
  import Field from './Field.svelte';
  import { spoken } from './edits';

  interface Props {
    label: string;
    value: string;
    options: string[];
    /** Words for an option that stands for nothing. */
    empty?: string;
    onchange: (value: string) => void;
  }
  const { label, value, options, empty, onchange }: Props = $props();
</script>

<Field {label}>
  <select
    class="select h-10 w-44"
    aria-label={label}
    {value}
    onchange={(e) => onchange(e.currentTarget.value)}
  >
    {#if empty !== undefined}<option value="">{empty}</option>{/if}
    {#each options as option (option)}<option value={option}>{spoken(option)}</option>{/each}
  </select>
</Field>
