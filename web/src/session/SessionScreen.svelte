<script lang="ts">
  import { route } from '../router';
  import SessionDesk from './SessionDesk.svelte';
</script>

{#key route.params.session}<SessionDesk id={route.params.session!} />{/key}
