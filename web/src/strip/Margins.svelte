<!-- @component The room beside the road, where a press says that something stands there. -->
<script lang="ts">
  import { useFrame } from './frame';
  import { stationOf } from './window';

  interface Props {
    onnote: (station: number, side: 'LEFT' | 'RIGHT') => void;
  }
  const { onnote }: Props = $props();
  const frame = useFrame();
  const f = $derived(frame());
  const margins = $derived([
    { side: 'LEFT' as const, x: 0, width: f.leftMargin },
    { side: 'RIGHT' as const, x: f.rightMargin, width: f.gears - f.rightMargin },
  ]);

  function press(event: MouseEvent & { currentTarget: Element }, side: 'LEFT' | 'RIGHT') {
    const box = event.currentTarget.getBoundingClientRect();
    const y = ((event.clientY - box.top) / box.height) * f.height;
    onnote(stationOf(f.window, f.trace, f.along.invert(y)), side);
  }
</script>

{#each margins as { side, x, width } (side)}
  <!-- By keyboard a mark is noted with the button beside the brake point. -->
  <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
  <rect
    {x}
    y="0"
    {width}
    height={f.height}
    fill="transparent"
    class="margin"
    data-margin={side}
    onclick={(event) => press(event, side)}
  />
{/each}

<style>
  .margin {
    cursor: copy;
  }
</style>
