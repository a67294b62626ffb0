<!-- @component What the driver adds to the points of a page; fetched when the page stands. -->
<script lang="ts">
  import GateLines from './GateLines.svelte';
  import LimitLines from './LimitLines.svelte';
  import NoteLines from './NoteLines.svelte';
  import OwnDayLines from './OwnDayLines.svelte';
  import ToldLines from './ToldLines.svelte';
</script>

<LimitLines />
<ToldLines />
<GateLines />
<NoteLines />
<OwnDayLines />
