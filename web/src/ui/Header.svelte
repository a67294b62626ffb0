<!-- @component What stands above every screen; on a narrow one the actions open below its one row. -->
<script lang="ts">
  import MenuIcon from '@lucide/svelte/icons/menu';
  import Search from '@lucide/svelte/icons/search';
  import Moon from '@lucide/svelte/icons/moon';
  import Sun from '@lucide/svelte/icons/sun';
  import type { Snippet } from 'svelte';
  import { help } from '../help/help.svelte';
  import { sectionFor } from '../help/sections';
  import { me } from '../people/me.svelte';
  import { route } from '../router';
  import type { LengthUnit, SpeedUnit } from '../units/format';
  import { preferences } from '../units/preferences.svelte';

  interface Props {
    /** What stands beside the name of the application. */
    children?: Snippet;
    actions?: Snippet;
  }
  const { children, actions }: Props = $props();

  /** Whether the actions are shown on a narrow screen. */
  let open = $state(false);
  // Who went somewhere is done with the menu.
  $effect(() => {
    void route.pathname;
    open = false;
  });
</script>

<svelte:window
  onkeydown={(e) => e.key === 'Escape' && (open = false)}
  onpointerdown={(e) => {
    const within = (e.target as Element).closest('header, [data-bits-floating-content-wrapper]');
    if (!within) open = false;
  }}
/>

<header
  class="relative flex h-12 items-center gap-3 px-4 pt-[env(safe-area-inset-top)] print:hidden"
>
  <a
    href={me.now.bookId ? '/' : '/shelf'}
    class="figures flex min-h-11 items-center text-2xl font-bold"
    aria-label={me.now.bookId ? 'Marvek, to the book' : 'Marvek, to the shelf'}>Marvek</a
  >
  <div class="text-neutral figures min-w-0 grow truncate text-lg">{@render children?.()}</div>
  {#if !me.edits && me.now.role}
    <a href="/me" class="flex min-h-11 max-w-40 shrink-0 items-center truncate font-bold" data-role
      >{me.now.name}, {me.now.role.toLowerCase()}</a
    >
  {/if}
  <button
    class="btn btn-ghost desk:hidden px-2"
    aria-expanded={open}
    aria-controls="header-actions"
    onclick={() => (open = !open)}
    data-menu><MenuIcon size={20} /> Menu</button
  >
  <div
    id="header-actions"
    class={[
      'desk:static desk:flex desk:flex-nowrap desk:border-0 desk:p-0 items-center gap-2',
      open
        ? 'bg-base-100 border-base-content absolute inset-x-0 top-full z-30 flex flex-wrap border-y-2 p-3'
        : 'hidden',
    ]}
  >
    {@render actions?.()}
    <button
      class="btn btn-ghost px-2"
      onclick={() => (help.searching = true)}
      aria-label="Look for something"
      data-open-search><Search size={20} /></button
    >
    <button
      class="btn btn-ghost px-2"
      aria-expanded={help.section !== undefined}
      data-open-guide
      onclick={() => (help.section = help.section ? undefined : sectionFor(route.pathname))}
      >Guide</button
    >
    <label class="figures flex items-center">
      <span class="sr-only">Speeds in</span>
      <select
        class="select text-base h-11 w-20"
        value={preferences.speed}
        onchange={(e) => preferences.setSpeed(e.currentTarget.value as SpeedUnit)}
      >
        <option>km/h</option><option>mph</option>
      </select>
    </label>
    <label class="figures flex items-center">
      <span class="sr-only">Lengths in</span>
      <select
        class="select text-base h-11 w-16"
        value={preferences.length}
        onchange={(e) => preferences.setLength(e.currentTarget.value as LengthUnit)}
      >
        <option>m</option><option>yd</option><option>ft</option>
      </select>
    </label>
    <button
      class="btn btn-ghost w-11 px-0"
      aria-label={preferences.theme === 'paper' ? 'Dark garage theme' : 'Light paper theme'}
      onclick={() => preferences.toggleTheme()}
    >
      {#if preferences.theme === 'paper'}<Moon size={20} />{:else}<Sun size={20} />{/if}
    </button>
  </div>
</header>
