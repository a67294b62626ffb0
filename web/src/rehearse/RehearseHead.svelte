<!-- @component Head of the rehearsal's screens: its parts, what belongs to this one, the caution. -->
<script lang="ts">
  import type { Snippet } from 'svelte';
  import RehearseTabs from './RehearseTabs.svelte';

  interface Props {
    book: string;
    current: 'recall' | 'run' | 'stopwatch' | 'before';
    /** What stands at the right. */
    children?: Snippet;
  }
  const { book, current, children }: Props = $props();
</script>

<div class="flex flex-wrap items-center gap-x-4">
  <h1 class="text-3xl font-bold">Rehearse</h1>
  <RehearseTabs {book} {current} />
  {@render children?.()}
</div>
<p class="text-neutral text-sm">
  It trains memory and no car control. From a standing place only, never while driving.
</p>
