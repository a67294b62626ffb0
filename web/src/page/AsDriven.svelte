<script lang="ts">
  import GearLines from './GearLines.svelte';
  import PedalLines from './PedalLines.svelte';
</script>

<PedalLines />
<GearLines />
