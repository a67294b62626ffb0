<script lang="ts" generics="T extends string">
  import FormField from './FormField.svelte';

  interface Props {
    label: string;
    value: T;
    /** Values with their words, in the order they are shown. */
    options: readonly (readonly [T, string])[];
    width?: string;
    error?: string;
    onchange: (value: T) => void;
  }
  const { label, value, options, width = 'w-44', error, onchange }: Props = $props();
</script>

<FormField {label} {error}>
  {#snippet children(described)}
    <select
      class={['select h-11 px-2 text-base', width]}
      aria-label={label}
      aria-describedby={described}
      {value}
      onchange={(e) => onchange(options[e.currentTarget.selectedIndex][0])}
    >
      {#each options as [key, words] (key)}<option value={key}>{words}</option>{/each}
    </select>
  {/snippet}
</FormField>
