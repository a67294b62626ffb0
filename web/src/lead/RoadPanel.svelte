<!-- @component On the road: the line of this lap, one touch for a remark, what is open for a driver. -->
<script lang="ts">
  import { cornerName } from '../ui/corner-name';
  import { useBook } from '../book/book-state.svelte';
  import { openFor } from './lead-day';
  import { useLead } from './lead-state.svelte';
  import LineColumn from './LineColumn.svelte';
  import RemarkRow from './RemarkRow.svelte';

  const { ongroup }: { ongroup: () => void } = $props();
  const desk = useLead();
  const book = useBook();
  const pages = $derived(book.view!.revision.pages);
  const day = $derived(desk.lead!.day);
  let typed = $state('');
  /** Whether what is typed is the driver’s own. */
  let own = $state(false);
  const closed = $derived(
    desk.lead!.remarks.filter((r) => r.driver === desk.driver?.key && r.state !== 'open').reverse(),
  );
  const about = $derived(
    desk.corner === 0
      ? 'the lap'
      : `${desk.corner} ${pages.find((p) => p.corner === desk.corner)?.name ?? ''}`,
  );

  function type(event: SubmitEvent) {
    event.preventDefault();
    if (!typed.trim()) return;
    void desk.say({ text: typed.trim(), good: false }, own).then(() => {
      if (!desk.problem) typed = '';
    });
  }
</script>

{#if day.drivers.length === 0}
  <p class="py-4 text-lg">
    Nobody is in the group yet. <button class="btn" onclick={ongroup}>Put the group together</button
    >
  </p>
{:else}
  <div class="desk:flex gap-5">
    <LineColumn />
    {#if desk.driver}
      <section class="desk:w-[420px] shrink-0" aria-label="A remark">
        <h2 class="figures text-2xl font-semibold">
          To {desk.driver.name}, {desk.corner === 0 ? 'of' : 'at'}
          {about}
        </h2>
        <div class="grid grid-cols-7 gap-1 py-2" role="group" aria-label="Corner">
          {#each [0, ...pages.map((p) => p.corner)] as corner (corner)}
            <button
              class={[
                'figures min-h-12 rounded border-2 text-xl font-semibold',
                desk.corner === corner
                  ? 'bg-base-content text-base-100 border-base-content'
                  : 'border-base-300',
              ]}
              aria-pressed={desk.corner === corner}
              aria-label={corner === 0
                ? 'the lap as a whole'
                : cornerName(pages.find((p) => p.corner === corner)!)}
              data-corner={corner}
              onclick={() => (desk.corner = corner)}>{corner === 0 ? 'lap' : corner}</button
            >
          {/each}
        </div>
        <div class="grid grid-cols-2 gap-2" role="group" aria-label="What is said" data-words>
          {#each day.words as word (word.text)}
            <button class="btn figures h-16 text-xl" onclick={() => desk.say(word)}
              >{word.good ? '✓ ' : ''}{word.text}</button
            >
          {/each}
        </div>
        <form class="flex gap-2 pt-2" onsubmit={type}>
          <input
            class="input h-12 min-w-0 grow px-3 text-lg"
            aria-label="Other words"
            placeholder="other words"
            maxlength="200"
            bind:value={typed}
          />
          <button class="btn h-12" disabled={!typed.trim()}>Say it</button>
        </form>
        <label class="flex min-h-11 items-center gap-2"
          ><input type="checkbox" class="checkbox" bind:checked={own} />these are the driver’s own
          words</label
        >
        <p class="text-neutral pt-2 text-sm leading-snug">
          From the pits or a standing place, or by a passenger who writes. Nothing is typed or read
          while driving.
        </p>
      </section>
      <section class="min-w-0 grow" aria-label="For this driver" data-for={desk.driver.key}>
        <h2 class="figures text-2xl font-semibold">
          {desk.driver.name}’s next lap: {openFor(desk.lead!.remarks, desk.driver.key).length} open
        </h2>
        {#if desk.open.length === 0}<p class="text-neutral py-2">
            Nothing is open. Watch, then say one thing a corner and lap.
          </p>{/if}
        <ul data-open>
          {#each desk.open as remark (remark.id)}<RemarkRow {remark} {pages} />{/each}
        </ul>
        {#if closed.length}
          <h3 class="figures pt-3 text-lg font-semibold">So far</h3>
          <ul data-closed>
            {#each closed.slice(0, 8) as remark (remark.id)}<RemarkRow {remark} {pages} />{/each}
          </ul>
        {/if}
      </section>
    {/if}
  </div>
{/if}
