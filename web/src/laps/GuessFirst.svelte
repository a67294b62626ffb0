<script lang="ts">
  import type { Finding, Guess, Rule } from '../api/laps';
  import type { CornerPage } from '../api/types';
  import { cornerName } from '../ui/corner-name';
  import { judged } from './causes';
  import { ACTIONS, causeWords } from './finding-words';

  interface Props {
    pages: CornerPage[];
    guesses: Guess[];
    findings: Finding[];
    /** While it is open nothing of what the laps say is shown. */
    open: boolean;
    onguess: (corner: number, rule: Rule) => Promise<boolean>;
    onshow: () => void;
    ontakeback: (note: string) => void;
  }
  const { pages, guesses, findings, open, onguess, onshow, ontakeback }: Props = $props();
  const RULES = Object.keys(ACTIONS) as Rule[];
  let chosen = $state(0);
  let rule = $state<Rule>('braked-early');
  const corner = $derived(chosen || pages[0].corner);
  const name = (n: number) => {
    const page = pages.find((p) => p.corner === n);
    return page ? cornerName(page) : `${n}`;
  };
  const said = $derived(judged(guesses, findings));

  async function add(event: SubmitEvent) {
    event.preventDefault();
    await onguess(corner, rule);
  }
</script>

<div class="border-base-300 my-1 rounded border-2 px-3 py-2" data-guesses>
  {#if open}
    <p>What cost the time, as you felt it? Say up to three; then look.</p>
    <form class="flex flex-wrap gap-2 py-1" onsubmit={add}>
      <select
        class="select h-11 w-48"
        aria-label="Corner"
        value={corner}
        onchange={(e) => (chosen = Number(e.currentTarget.value))}
      >
        {#each pages as page (page.corner)}<option value={page.corner}>{cornerName(page)}</option
          >{/each}
      </select>
      <select class="select h-11 w-72 max-w-full" aria-label="What" bind:value={rule}>
        {#each RULES as r (r)}<option value={r}>{causeWords(r)}</option>{/each}
      </select>
      <button class="btn" disabled={guesses.length >= 3}>Say it</button>
    </form>
  {/if}
  <ul>
    {#each said as { guess, hit, instead } (guess.id)}
      <li class="flex flex-wrap items-center gap-x-2" data-guess="{guess.corner} {guess.rule}">
        <span class="grow"
          >You said: <strong>{name(guess.corner)}, {causeWords(guess.rule)}</strong
          >{#if !open}{#if hit}: the laps say so too{hit.cost_s != null
                ? `, ${hit.cost_s.toFixed(2)} s`
                : ''}.{:else if instead}: the laps say {causeWords(instead.rule)}{instead.cost_s !=
              null
                ? `, ${instead.cost_s.toFixed(2)} s`
                : ''}.{:else}: the laps show nothing of it.{/if}{/if}</span
        >
        <button
          class="btn btn-ghost px-2"
          aria-label="Take back: {name(guess.corner)}, {causeWords(guess.rule)}"
          onclick={() => ontakeback(guess.id)}>Take back</button
        >
      </li>
    {/each}
  </ul>
  {#if open}<button class="btn btn-primary" onclick={onshow}>Show what the laps say</button>{/if}
</div>
