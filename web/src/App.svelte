<script lang="ts">
  import { Router } from 'sv-router';
  import './router';
  import { preferences } from './units/preferences.svelte';

  $effect(() => {
    document.documentElement.dataset.theme = preferences.theme;
  });
</script>

<Router />
