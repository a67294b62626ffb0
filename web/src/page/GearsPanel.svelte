<script lang="ts">
  import { useBook } from '../book/book-state.svelte';
  import { between } from '../strip/lap-axis';
  import { gain } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { usePage } from './page-context';
  import { FEET, ownGear } from './work-words';
  import type { CornerGears } from '../api/answers';
  import type { Feet } from '../api/types';
  import type { Panels } from './panels.svelte';

  const { panels }: { panels: Panels } = $props();
  const book = useBook();
  const page = usePage();
  const gears = $derived(panels.gears);
  const rpm = (value: number) => `${Math.round(value / 10) * 10} rpm`;

  function pastApex(station: number): string {
    const metres = between(book.view!.trace, page().apexes[0].at_m, station);
    return `${preferences.lengthText(Math.abs(metres))} ${metres < 0 ? 'before' : 'past'} the apex`;
  }
  /** Whether the engine's braking moves a brake point in any of the gears. */
  const braked = $derived(gears?.inCorner.some((held) => held.brakeMovedM != null));
  function moved({ chosen, brakeMovedM: metres }: CornerGears['inCorner'][number]): string {
    if (metres == null || Math.abs(metres) < 0.5) return chosen ? '' : 'the same';
    return `${preferences.lengthText(Math.abs(metres))} ${metres < 0 ? 'earlier' : 'later'}`;
  }
  const beside = $derived(
    [
      {
        field: 'gears.in' as const,
        title: 'On the way in',
        gears: gears?.wayIn ?? [],
        own: page().gears.in,
      },
      {
        field: 'gears.out' as const,
        title: 'On the way out',
        gears: gears?.wayOut ?? [],
        own: page().gears.out,
      },
    ].filter((where) => where.gears.length),
  );
  const spelled = (feet: CornerGears['feet'][number]['feet']) =>
    feet.toLowerCase().replaceAll('_', '-') as Feet;
  const ownFeet = $derived((page().sources.feet ?? 'model') === 'model' ? undefined : page().feet);
  function later(metres: number): string {
    if (Math.abs(metres) < 0.5) return 'brake where it stands';
    return `brake ${preferences.lengthText(Math.abs(metres))} ${metres < 0 ? 'earlier' : 'later'}`;
  }
  function rear(asked: number): string {
    return asked > 1.02 ? `to ${Math.round(100 / asked)} % at first` : 'flat at once';
  }
</script>

{#if gears}
  <h2 class="figures text-xl font-semibold">In the corner</h2>
  <table class="figures w-full text-base" data-gears>
    <thead>
      <tr class="border-base-content border-b-2 text-left text-sm">
        <th scope="col">gear</th>
        <th scope="col">against the model's</th>
        <th scope="col">at the slowest place</th>
        <th scope="col">throttle half-way to full</th>
        {#if braked}<th scope="col">brake point</th>{/if}
      </tr>
    </thead>
    <tbody>
      {#each gears.inCorner as held (held.gear)}
        <tr class="border-base-300 h-11 border-b">
          <td><strong class="text-lg">{held.gear}</strong></td>
          <td>
            {#if held.chosen}the model's choice{:else if held.beyondLimiter}beyond the limiter{:else}<strong
                >{gain(held.lostS)}</strong
              >{/if}
          </td>
          <td>{held.beyondLimiter ? '–' : rpm(held.rpm)}</td>
          <td>{held.beyondLimiter ? '–' : rear(held.rearAsked)}</td>
          {#if braked}<td data-brake-moved>{held.beyondLimiter ? '–' : moved(held)}</td>{/if}
        </tr>
      {/each}
    </tbody>
  </table>
  {#each beside as { field, title, gears: all, own } (field)}
    <h2 class="figures pt-4 text-xl font-semibold">{title}</h2>
    <ul data-beside={field}>
      {#each all as held (held.gear)}
        <li class="border-base-300 flex min-h-11 flex-wrap items-center gap-x-4 border-b">
          <strong class="text-lg">{held.gear}</strong>
          <span class="flex-1">
            {#if held.chosen}the model's choice{:else}{held.beyondLimiter
                ? 'on the limiter, '
                : ''}<strong>{gain(held.lostS)}</strong>{/if}
          </span>
          {#if held.gear === own}
            <span class="text-neutral text-sm">as the page has it</span>
          {:else}
            <button
              class="btn btn-ghost font-normal"
              onclick={() =>
                book.setOwnAll(page().corner, ownGear(field, held.chosen ? undefined : held.gear))}
              >drive it so</button
            >
          {/if}
        </li>
      {/each}
    </ul>
  {/each}
  {#if gears.feet.length}
    <h2 class="figures pt-4 text-xl font-semibold">Which foot brakes</h2>
    <ul data-feet>
      {#each gears.feet as way (way.feet)}
        <li class="border-base-300 flex min-h-11 flex-wrap items-center gap-x-4 border-b">
          <strong class="w-full sm:w-56">{FEET[spelled(way.feet)]}</strong>
          <span class="flex-1">{later(way.brakeLaterM)}, <strong>{gain(way.lostS)}</strong></span>
          {#if ownFeet === spelled(way.feet)}
            <button
              class="btn btn-ghost font-normal"
              onclick={() => book.setOwn(page().corner, 'feet', undefined)}
              >as on the rest of the lap</button
            >
          {:else}
            <button
              class="btn btn-ghost font-normal"
              onclick={() => book.setOwn(page().corner, 'feet', spelled(way.feet))}
              >drive it so</button
            >
          {/if}
        </li>
      {/each}
    </ul>
    <p class="text-neutral text-sm">
      Against the day's {book.history?.now.conditions?.pedalChange_s} s from throttle to brake. The lap
      itself takes no account of a foot's way.
    </p>
  {/if}
  <h2 class="figures pt-4 text-xl font-semibold">Before the brakes: hold or change up?</h2>
  {#if gears.before}
    {@const b = gears.before}
    <p class="leading-snug" data-hold>
      {#if b.holdLostS !== 0}
        Change up to {b.gear + 1}, {pastApex(b.atM)}, {b.secondsToBrakes.toFixed(1)} s before the brakes.
        Holding {b.gear} on the limiter instead: <strong>{gain(b.holdLostS)}</strong>.
      {:else}
        Hold {b.gear} on the limiter for {b.secondsToBrakes.toFixed(1)} s. Changing up to {b.gear +
          1}
        instead: <strong>{gain(b.changeLostS)}</strong>.
      {/if}
    </p>
  {:else}
    <p class="text-neutral">
      No question here: no change up comes within four seconds of the brakes.
    </p>
  {/if}
  <h2 class="figures pt-4 text-xl font-semibold">On the way to the next corner</h2>
  {#if gears.changes.length}
    <table class="figures w-full text-base">
      <thead>
        <tr class="border-base-content border-b-2 text-left text-sm">
          <th scope="col">change</th>
          <th scope="col">where</th>
          <th scope="col">at</th>
          <th scope="col">drive lost</th>
          <th scope="col">a tenth of the revs sooner</th>
        </tr>
      </thead>
      <tbody>
        {#each gears.changes as change (change.atM)}
          <tr class="border-base-300 h-11 border-b">
            <td><strong class="text-lg">{change.from} to {change.to}</strong></td>
            <td>{pastApex(change.atM)}</td>
            <td>{rpm(change.rpm)}{change.early ? ', early' : ''}</td>
            <td>
              {#if change.free}free: grip is the limit there{:else}{change.costS.toFixed(2)} s{/if}
            </td>
            <td>{change.shortLostS == null ? '–' : gain(change.shortLostS)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  {:else}
    <p class="text-neutral">None: the gear of the corner is held to the next.</p>
  {/if}
  <p class="text-neutral pt-2 leading-snug">
    Chosen over the whole lap at once: each change is weighed against what it loses while the drive
    is cut. Of upset and feel the model knows nothing.
  </p>
{/if}
