<script lang="ts">
  import { route } from '../router';
  import WalkRoom from './WalkRoom.svelte';
</script>

{#key route.params.id}<WalkRoom id={route.params.id!} />{/key}
