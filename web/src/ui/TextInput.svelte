<script lang="ts">
  import FormField from './FormField.svelte';

  interface Props {
    label: string;
    value: string;
    type?: 'text' | 'date' | 'datetime-local';
    /** Width of the field, as a class. */
    width?: string;
    max?: number;
    /** What the server says of it. */
    error?: string;
    onchange: (value: string) => void;
  }
  const { label, value, type = 'text', width = 'w-44', max, error, onchange }: Props = $props();
</script>

<FormField {label} {error}>
  {#snippet children(described)}
    <input
      {type}
      class={['input h-11 px-2 text-base', width]}
      aria-label={label}
      aria-describedby={described}
      aria-invalid={described !== undefined}
      maxlength={max}
      {value}
      onchange={(e) => e.currentTarget.value !== value && onchange(e.currentTarget.value)}
    />
  {/snippet}
</FormField>
