<script lang="ts">
  import { DropdownMenu } from 'bits-ui';
  import type { Snippet } from 'svelte';
  import type { ClassValue } from 'svelte/elements';

  interface Item {
    name: string;
    /** Where it leads. */
    href?: string;
    /** Whether what is there is a file to be kept, or is opened beside this. */
    as?: 'download' | 'beside';
    /** Whether it is what holds now, of several of which one does; absent for what is done once. */
    chosen?: boolean;
    onselect?: () => void;
    /** For a test to find it by. */
    mark?: string;
  }
  interface Props {
    items: Item[];
    /** What stands on the button. */
    children: Snippet;
    width?: string;
    /** Which side of the button it keeps to. */
    align?: 'start' | 'end';
    class?: ClassValue;
    title?: string;
    /** For a test to find the button by. */
    [data: `data-${string}`]: string | number | boolean;
  }
  const {
    items,
    children,
    width = 'w-64',
    align = 'end',
    class: classes = 'btn btn-ghost',
    ...rest
  }: Props = $props();
  const choices = $derived(items.filter((item) => item.chosen !== undefined));
  const actions = $derived(items.filter((item) => item.chosen === undefined));
  const LINE = 'btn btn-ghost w-full justify-start data-highlighted:bg-base-200';
</script>

<DropdownMenu.Root>
  <DropdownMenu.Trigger {...rest} class={classes}>{@render children()}</DropdownMenu.Trigger>
  <DropdownMenu.Portal>
    <DropdownMenu.Content
      {align}
      sideOffset={4}
      collisionPadding={8}
      class="border-base-content bg-base-100 rounded-box z-30 border-2 p-2 shadow-lg print:hidden {width}"
    >
      {#if choices.length}
        <DropdownMenu.RadioGroup value={choices.find((item) => item.chosen)?.name ?? ''}>
          {#each choices as item (item.name)}
            <DropdownMenu.RadioItem value={item.name} onSelect={item.onselect} class={LINE}>
              {item.chosen ? '●' : '○'}
              {item.name}
            </DropdownMenu.RadioItem>
          {/each}
        </DropdownMenu.RadioGroup>
      {/if}
      {#if choices.length && actions.length}
        <DropdownMenu.Separator class="bg-base-300 my-1 h-0.5" />
      {/if}
      {#each actions as item (item.name)}
        <DropdownMenu.Item onSelect={item.onselect} class={LINE}>
          {#snippet child({ props })}
            {#if item.href}
              <a
                {...props}
                href={item.href}
                download={item.as === 'download' ? '' : undefined}
                target={item.as === 'beside' ? '_blank' : undefined}
                rel={item.as === 'beside' ? 'noopener' : undefined}
                data-item={item.mark}>{item.name}</a
              >
            {:else}<button {...props} data-item={item.mark}>{item.name}</button>{/if}
          {/snippet}
        </DropdownMenu.Item>
      {/each}
    </DropdownMenu.Content>
  </DropdownMenu.Portal>
</DropdownMenu.Root>
