<script lang="ts">
  import FormField from './FormField.svelte';

  interface Props {
    label: string;
    value: string;
    /** Values with their words, in the order they are shown. */
    options: [string, string][];
    width?: string;
    error?: string;
    onchange: (value: string) => void;
  }
  const { label, value, options, width = 'w-44', error, onchange }: Props = $props();
</script>

<FormField {label} {error}>
  {#snippet children(described)}
    <select
      class={['select h-10 px-2 text-base', width]}
      aria-label={label}
      aria-describedby={described}
      {value}
      onchange={(e) => onchange(e.currentTarget.value)}
    >
      {#each options as [key, words] (key)}<option value={key}>{words}</option>{/each}
    </select>
  {/snippet}
</FormField>
