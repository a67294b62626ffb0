<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    label: string;
    /** What is wrong with the value; shown below it and told to the field. */
    error?: string;
    /** The control; it takes the id of the words about an error. */
    children: Snippet<[string | undefined]>;
  }
  const { label, error, children }: Props = $props();
  const id = $props.id();
</script>

<div class="min-w-0 py-0.5" data-field={label}>
  <label class="flex min-h-11 items-center justify-between gap-2">
    <span>{label}</span>
    {@render children(error ? id : undefined)}
  </label>
  {#if error}
    <p {id} role="alert" class="text-error pb-1 text-[0.95rem] leading-tight font-semibold">
      <span aria-hidden="true">!</span>
      {error}
    </p>
  {/if}
</div>
