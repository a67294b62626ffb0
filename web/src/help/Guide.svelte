<!-- @component The guide beside the screen: its section for what is shown, and a search through it. -->
<script lang="ts">
  import { tick } from 'svelte';
  import sections from '../../../docs/guide.md?sections';
  import { help } from './help.svelte';
  import Legend from './Legend.svelte';
  import { find } from './sections';

  let typed = $state('');
  let text: HTMLElement | undefined;
  const found = $derived(find(sections, typed));
  const current = $derived(sections.find(({ slug }) => slug === help.section) ?? sections[0]);
  const at = $derived(sections.indexOf(current));

  async function open(slug: string) {
    typed = '';
    help.section = slug;
    await tick();
    text?.scrollTo({ top: 0 });
    text?.focus();
  }
</script>

<svelte:window
  onkeydown={(e) => e.key === 'Escape' && !e.defaultPrevented && (help.section = undefined)}
/>
<aside
  aria-label="Guide"
  data-guide
  class="bg-base-100 border-base-content fixed inset-y-0 right-0 z-30 flex w-full flex-col border-l-2 shadow-lg sm:w-[26rem] print:hidden"
>
  <div class="flex items-center gap-2 p-3 pb-1">
    <input
      class="input h-11 min-w-0 grow"
      aria-label="Look through the guide"
      type="search"
      placeholder="Look through the guide"
      bind:value={typed}
    />
    <button class="btn btn-ghost" onclick={() => (help.section = undefined)}>Close</button>
  </div>
  <!-- Scrolled by the keyboard too. -->
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div
    class="grow overflow-y-auto px-4 pb-6"
    bind:this={text}
    tabindex="0"
    role="region"
    aria-label="Text of the guide"
  >
    {#if typed.trim()}
      <p class="text-neutral py-2" role="status">
        {found.length === 0
          ? 'Nothing in the guide has these words.'
          : `In ${found.length === 1 ? 'one section' : `${found.length} sections`}:`}
      </p>
      <ul>
        {#each found as { section, excerpt } (section.slug)}
          <li class="border-base-300 border-b py-1">
            <button class="block min-h-11 w-full text-left" onclick={() => open(section.slug)}>
              <span class="link text-lg font-semibold">{section.title}</span>
              <span class="text-neutral block leading-snug">{excerpt}</span>
            </button>
          </li>
        {/each}
      </ul>
    {:else}
      <h2 class="py-2 text-2xl font-bold">{current.title}</h2>
      {#if current.slug === 'page'}<Legend />{/if}
      <!-- The project's own text, turned into HTML when the interface was built. -->
      <!-- eslint-disable-next-line svelte/no-at-html-tags -->
      <div class="guide leading-snug">{@html current.html}</div>
      <nav class="flex justify-between gap-2 pt-4" aria-label="Sections of the guide">
        {#if at > 0}
          <button class="btn btn-ghost font-normal" onclick={() => open(sections[at - 1].slug)}
            >← {sections[at - 1].title}</button
          >
        {/if}
        {#if at < sections.length - 1}
          <button
            class="btn btn-ghost ml-auto font-normal"
            onclick={() => open(sections[at + 1].slug)}>{sections[at + 1].title} →</button
          >
        {/if}
      </nav>
    {/if}
  </div>
</aside>

<style>
  .guide :global(p),
  .guide :global(ul),
  .guide :global(table) {
    margin-bottom: 0.7rem;
  }
  .guide :global(ul) {
    list-style: disc;
    padding-left: 1.2rem;
  }
  .guide :global(td),
  .guide :global(th) {
    padding: 0.15rem 0.6rem 0.15rem 0;
    text-align: left;
    vertical-align: top;
  }
  .guide :global(code) {
    overflow-wrap: anywhere;
  }
  .guide :global(h4) {
    font-weight: 700;
  }
</style>
