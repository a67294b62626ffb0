<script lang="ts" generics="K extends string">
  import { Tabs } from 'bits-ui';
  import type { Snippet } from 'svelte';

  interface Tab {
    key: K;
    name: string;
    /** What is read out in the place of the name. */
    label?: string;
  }
  interface Props {
    /** What the tabs are of. */
    label: string;
    /** Begins the ids of the tabs, as `lead` those of `lead-road`. */
    id: string;
    tabs: readonly Tab[];
    open: K;
    /** Called when another is chosen; without it `open` is bound. */
    onopen?: (key: K) => void;
    /** A line under names, or boxes for figures. */
    look?: 'line' | 'boxes';
    /** Stands on the line of the tabs. */
    beside?: Snippet;
    /** Whether the panel waits for an answer. */
    busy?: boolean;
    class?: string;
    panelClass?: string;
    children: Snippet;
  }
  let {
    label,
    id,
    tabs,
    open = $bindable(),
    onopen,
    look = 'line',
    beside,
    busy = false,
    class: classes = '',
    panelClass = '',
    children,
  }: Props = $props();

  const LOOKS = {
    line: [
      'min-h-11 rounded-t-md border-b-4 px-3',
      'border-base-content font-semibold',
      'border-base-300 text-neutral',
    ],
    boxes: [
      'h-11 min-w-11 rounded border-2 px-2',
      'border-base-content bg-base-content text-base-100',
      'border-base-300',
    ],
  };
  const [shape, chosen, other] = $derived(LOOKS[look]);
</script>

<Tabs.Root
  value={open}
  onValueChange={(key) => (onopen ? onopen(key as K) : (open = key as K))}
  loop
>
  <Tabs.List class="flex flex-wrap items-end gap-1 py-1 print:hidden {classes}" aria-label={label}>
    {#each tabs as tab (tab.key)}
      <Tabs.Trigger
        value={tab.key}
        id="{id}-{tab.key}"
        aria-label={tab.label}
        class="figures text-lg {shape} {open === tab.key ? chosen : other}">{tab.name}</Tabs.Trigger
      >
    {/each}
    {@render beside?.()}
  </Tabs.List>
  {#key open}
    <Tabs.Content value={open} class={panelClass} aria-busy={busy}
      >{@render children()}</Tabs.Content
    >
  {/key}
</Tabs.Root>
