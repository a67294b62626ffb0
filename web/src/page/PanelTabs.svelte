<script lang="ts">
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

  /** Left and right go along the tabs, and do not turn the page. */
  function onkeydown(event: KeyboardEvent) {
    const step = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (!step) return;
    event.preventDefault();
    event.stopPropagation();
    const at = tabs.findIndex(([panel]) => panel === panels.open);
    panels.open = tabs[(at + step + tabs.length) % tabs.length][0];
    document.getElementById(`tab-${panels.open}`)?.focus();
  }
</script>

<div class="flex gap-1 pt-1 pb-1 print:hidden" role="tablist" aria-label="This corner">
  {#each tabs as [panel, name] (panel)}
    <button
      id="tab-{panel}"
      role="tab"
      aria-selected={panels.open === panel}
      aria-controls="panel"
      tabindex={panels.open === panel ? 0 : -1}
      class={[
        'figures h-10 rounded-t-md border-b-4 px-3 text-lg',
        panels.open === panel
          ? 'border-base-content font-semibold'
          : 'border-base-300 text-neutral',
      ]}
      {onkeydown}
      onclick={() => (panels.open = panel)}
    >
      {name}
    </button>
  {/each}
</div>
