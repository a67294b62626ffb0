<script lang="ts">
  import { route } from '../router';
  import CircuitRoom from './CircuitRoom.svelte';
</script>

{#key route.params.id}<CircuitRoom id={route.params.id!} />{/key}
