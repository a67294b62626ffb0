<script lang="ts">
  import Moon from '@lucide/svelte/icons/moon';
  import Sun from '@lucide/svelte/icons/sun';
  import type { Snippet } from 'svelte';
  import type { LengthUnit, SpeedUnit } from '../units/format';
  import { preferences } from '../units/preferences.svelte';

  interface Props {
    /** What stands beside the name of the application. */
    children?: Snippet;
    actions?: Snippet;
  }
  const { children, actions }: Props = $props();
</script>

<header class="flex h-12 items-center gap-3 px-4 print:hidden">
  <a href="/shelf" class="figures text-2xl font-bold" aria-label="Marvek, to the shelf">Marvek</a>
  <div class="text-neutral figures min-w-0 grow truncate text-lg">{@render children?.()}</div>
  {@render actions?.()}
  <label class="figures flex items-center">
    <span class="sr-only">Speeds in</span>
    <select
      class="select text-base h-10 w-20"
      value={preferences.speed}
      onchange={(e) => preferences.setSpeed(e.currentTarget.value as SpeedUnit)}
    >
      <option>km/h</option><option>mph</option>
    </select>
  </label>
  <label class="figures flex items-center">
    <span class="sr-only">Lengths in</span>
    <select
      class="select text-base h-10 w-16"
      value={preferences.length}
      onchange={(e) => preferences.setLength(e.currentTarget.value as LengthUnit)}
    >
      <option>m</option><option>yd</option><option>ft</option>
    </select>
  </label>
  <button
    class="btn btn-ghost w-10 px-0"
    aria-label={preferences.theme === 'paper' ? 'Dark garage theme' : 'Light paper theme'}
    onclick={() => preferences.toggleTheme()}
  >
    {#if preferences.theme === 'paper'}<Moon size={20} />{:else}<Sun size={20} />{/if}
  </button>
</header>
