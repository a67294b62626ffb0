<script lang="ts">
  import { cornerName, cornerNumber } from '../ui/corner-name';
  import type { CornerPage } from '../api/types';
  import { KERB_USE, markWords } from '../page/words';
  import { navigate } from '../router';
  import { between } from '../strip/lap-axis';
  import { speedIn, whole } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { useBook } from './book-state.svelte';
  import { weight } from './stakes';

  let { pointed = $bindable() }: { pointed: number } = $props();
  let byStakes = $state(false);

  const book = useBook();
  const view = $derived(book.view!);
  const most = $derived(Math.max(0.01, ...view.revision.pages.map(weight)));
  const rows = $derived(
    byStakes ? [...view.revision.pages].sort((a, b) => weight(b) - weight(a)) : view.revision.pages,
  );
  const toCheck = $derived(new Set(book.checks.map((c) => c.corner)));
  const length = $derived((m: number) => preferences.lengthText(m));
  const isOwn = (page: CornerPage, fields: string[]) =>
    fields.some((f) => (page.sources[f] ?? 'model') !== 'model');

  function brake(page: CornerPage): string {
    if (page.brake.at_m === undefined) return page.brake.style === 'none' ? 'flat' : 'lift';
    if (page.brake.target) return markWords(page.brake.target, length);
    return `${length(page.brake.at_m)} from the start line`;
  }

  function drive(page: CornerPage): string {
    if (page.throttle.full_m === undefined)
      return page.throttle.first_m === undefined ? 'stays on' : 'part';
    const past = between(view.trace, page.apexes[0].at_m, page.throttle.full_m);
    return `flat ${length(Math.abs(past))} ${past < 0 ? 'before' : 'past'} the apex`;
  }

  const open = (page: CornerPage) =>
    navigate('/books/:id/corner/:number', { params: { id: book.id, number: String(page.corner) } });
</script>

{#snippet own(page: CornerPage, fields: string[])}
  {#if isOwn(page, fields)}<span class="font-bold" title="yours"
      >✎<span class="sr-only"> yours</span></span
    >{/if}
{/snippet}

<table class="figures as-lines w-full text-[1.02rem]" aria-label="Ledger of the corners">
  <thead>
    <tr class="border-base-content border-b-2 text-left">
      <th></th>
      <th>corner</th>
      <th>brake</th>
      <th>gears</th>
      <th class="pr-3 text-right whitespace-nowrap">lowest, {preferences.speed}</th>
      <th>apex kerb</th>
      <th>drive</th>
      <th class="text-right whitespace-nowrap">time, s</th>
      <th class="text-right whitespace-nowrap">
        <button
          class="link min-h-11 decoration-dotted"
          aria-pressed={byStakes}
          title={byStakes ? 'in the order of the lap' : 'what slips cost most first'}
          onclick={() => (byStakes = !byStakes)}>{byStakes ? '▼ ' : ''}slips cost, s</button
        >
      </th>
    </tr>
  </thead>
  <tbody>
    {#each rows as page (page.corner)}
      <tr
        class="border-base-300 hover:bg-base-200 h-11 cursor-pointer border-b"
        onclick={() => open(page)}
        onmouseenter={() => (pointed = page.corner)}
        onmouseleave={() => (pointed = 0)}
      >
        <td class="w-8 text-lg font-bold">{cornerNumber(page)}</td>
        <td class="grow whitespace-nowrap">
          <a
            href="/books/{book.id}/corner/{page.corner}"
            class="inline-flex min-h-11 min-w-11 items-center font-semibold"
            >{page.name || cornerName(page)}</a
          >
          <span class="text-neutral">{page.direction}</span>
          {#if toCheck.has(page.corner)}<span class="text-warning font-bold" title="check on track"
              >▲<span class="sr-only"> to be checked on track</span></span
            >{/if}
          {#if view.trace.sky?.intoTheSun.includes(page.corner)}<span title="into a low sun"
              >☀<span class="sr-only"> into a low sun</span></span
            >{/if}
        </td>
        <td class="whole-row leading-tight" data-label="brake"
          >{brake(page)} {@render own(page, ['brake.at_m', 'brake.initial_pct'])}</td
        >
        <td class="whitespace-nowrap" data-label="gears">
          {page.gears.approach === page.gears.corner
            ? page.gears.corner
            : `${page.gears.approach} → ${page.gears.corner}`}
          {@render own(page, ['gears.corner'])}
        </td>
        <td class="pr-3 text-right text-lg font-semibold" data-label="lowest">
          {@render own(page, ['apexes.speed_mps'])}
          {whole(speedIn(page.lowest.speed_mps, preferences.speed))}
        </td>
        <td class="whitespace-nowrap" data-label="kerb">{KERB_USE[page.kerbs.apex]}</td>
        <td class="leading-tight"
          >{drive(page)} {@render own(page, ['throttle.first_m', 'throttle.full_m'])}</td
        >
        <td class="text-right leading-tight" data-label="s">
          {page.time_s.toFixed(2)}
          {#if page.driven?.made === false}<span
              class="text-error block text-sm font-semibold whitespace-nowrap">▲ not made</span
            >{/if}
        </td>
        <td class="text-right" data-label="slips cost" data-stake>
          <span class="inline-flex items-center justify-end gap-1.5">
            <span
              class="bg-base-content inline-block h-2.5"
              style:width="{(44 * weight(page)) / most}px"
            ></span>
            {weight(page).toFixed(2)}
          </span>
        </td>
      </tr>
    {/each}
  </tbody>
</table>

<style>
  td,
  th {
    padding-right: 0.6rem;
  }
</style>
