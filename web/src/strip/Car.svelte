<script lang="ts">
  import { useFrame } from './frame';
  import { linePath, wedgePath } from './geometry';

  const frame = useFrame();
  const f = $derived(frame());
</script>

<path d={wedgePath(f, 'brake')} fill="url(#hatch)" stroke="var(--brake)" stroke-width="1" />
<path d={wedgePath(f, 'drive')} fill="url(#dots)" stroke="var(--drive)" stroke-width="1" />
<path d={linePath(f)} fill="none" stroke="var(--ink)" stroke-width="3.5" stroke-linejoin="round" />
