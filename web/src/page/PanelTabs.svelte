<script lang="ts">
  import { tabKeys } from '../ui/keys';
  import type { Panel, Panels } from './panels.svelte';

  interface Props {
    panels: Panels;
    /** Whether the corner is linked with the next. */
    linked: boolean;
  }
  const { panels, linked }: Props = $props();
  const tabs = $derived<[Panel, string][]>([
    ['words', 'In words'],
    ['ways', 'Ways through'],
    ['gears', 'Gears'],
    ['days', 'Other days'],
    ['purposes', 'Purposes'],
    ...(linked ? [['link', 'The link'] as [Panel, string]] : []),
  ]);
</script>

<div
  class="flex gap-1 pt-1 pb-1 print:hidden"
  role="tablist"
  aria-label="This corner"
  {@attach tabKeys}
>
  {#each tabs as [panel, name] (panel)}
    <button
      id="tab-{panel}"
      role="tab"
      aria-selected={panels.open === panel}
      aria-controls="panel"
      class={[
        'figures h-10 rounded-t-md border-b-4 px-3 text-lg',
        panels.open === panel
          ? 'border-base-content font-semibold'
          : 'border-base-300 text-neutral',
      ]}
      onclick={() => (panels.open = panel)}
    >
      {name}
    </button>
  {/each}
</div>
