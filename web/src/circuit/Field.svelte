<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    label: string;
    children: Snippet;
  }
  const { label, children }: Props = $props();
</script>

<label class="flex items-center justify-between gap-2 py-0.5">
  <span class="text-neutral">{label}</span>
  {@render children()}
</label>
