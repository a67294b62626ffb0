<!-- @component An address that Marvek does not have, said in words, with the ways back. -->
<script lang="ts">
  import { route } from '../router';
  import Header from '../ui/Header.svelte';
</script>

<svelte:head><title>Not here · Marvek</title></svelte:head>
<Header>Not here</Header>
<main class="mx-auto max-w-3xl px-4 pb-8" data-unknown>
  <h1 class="text-4xl font-bold">There is no such page</h1>
  <p class="py-3 text-lg break-words">
    <strong class="figures">{route.pathname}</strong> is no address of Marvek. It may be mistyped, or
    of something that was put away or removed.
  </p>
  <p class="flex flex-wrap gap-2">
    <a class="btn btn-primary" href="/shelf">To the shelf</a>
    <button class="btn" onclick={() => history.back()}>Back to where I was</button>
  </p>
</main>
