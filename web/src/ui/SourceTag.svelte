<script lang="ts">
  import type { Source } from '../api/types';

  const { source = 'model' }: { source?: Source } = $props();
  const TAGS: Record<Source, [string, string]> = {
    model: ['◇', 'model'],
    measured: ['●', 'measured'],
    driver: ['✎', 'yours'],
    coach: ['▣', 'coach'],
  };
</script>

<span
  class={[
    'rounded px-1.5 text-sm whitespace-nowrap',
    source === 'model' ? 'text-neutral' : 'border-base-content bg-base-100 border-2 font-semibold',
  ]}
>
  <span aria-hidden="true">{TAGS[source][0]}</span>
  {TAGS[source][1]}
</span>
