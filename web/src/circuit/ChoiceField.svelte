<script lang="ts" generics="T extends string">
  import Field from './Field.svelte';
  import { spoken } from './edits';

  interface Props {
    label: string;
    value: T | '';
    options: readonly T[];
    /** Words for an option that stands for nothing. */
    empty?: string;
    /** With nothing where that was chosen. */
    onchange: (value: T | undefined) => void;
  }
  const { label, value, options, empty, onchange }: Props = $props();
</script>

<Field {label}>
  <select
    class="select h-11 w-44"
    aria-label={label}
    {value}
    onchange={(e) => onchange(options.find((option) => option === e.currentTarget.value))}
  >
    {#if empty !== undefined}<option value="">{empty}</option>{/if}
    {#each options as option (option)}<option value={option}>{spoken(option)}</option>{/each}
  </select>
</Field>
