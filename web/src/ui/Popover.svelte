<script lang="ts">
  import { Popover } from 'bits-ui';
  import type { Snippet } from 'svelte';
  import type { ClassValue } from 'svelte/elements';

  interface Props {
    /** What stands on the button. */
    button: Snippet;
    open?: boolean;
    width?: string;
    class?: ClassValue;
    title?: string;
    /** For a test to find the button by. */
    [data: `data-${string}`]: string | number | boolean;
    children: Snippet;
  }
  let {
    button,
    open = $bindable(false),
    width = 'w-96',
    children,
    class: classes = 'btn btn-ghost',
    ...rest
  }: Props = $props();
</script>

<Popover.Root bind:open>
  <Popover.Trigger {...rest} class={classes}>{@render button()}</Popover.Trigger>
  <Popover.Portal>
    <Popover.Content
      align="start"
      sideOffset={4}
      collisionPadding={8}
      class="border-base-content bg-base-100 rounded-box z-30 max-w-[calc(100vw-1rem)] border-2 p-3 leading-snug shadow-lg print:hidden {width}"
    >
      {@render children()}
    </Popover.Content>
  </Popover.Portal>
</Popover.Root>
