<script lang="ts">
  import type { Snippet } from 'svelte';
  import { route } from '../router';
  import BookRoom from './BookRoom.svelte';

  const { children }: { children: Snippet } = $props();
</script>

<!-- What is shown belongs to the address: another book, another session, another room. -->
{#key route.params.id}<BookRoom id={route.params.id!} {children} />{/key}
