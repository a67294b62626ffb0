<!-- @component Cones and boards of this day: set at a page's point with one press, moved by metres. -->
<script lang="ts">
  import { cornerName } from '../ui/corner-name';
  import type { Cone, ConePoint } from '../api/lead';
  import { useBook } from '../book/book-state.svelte';
  import { between } from '../strip/lap-axis';
  import { lengthFrom, lengthIn } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { coneAt, stationOf } from './lead-day';
  import { useLead } from './lead-state.svelte';

  const POINTS: readonly (readonly [ConePoint, string])[] = [
    ['brake', 'brake'],
    ['turn-in', 'turn in'],
    ['apex', 'apex'],
  ];
  const desk = useLead();
  const book = useBook();
  const pages = $derived(book.view!.revision.pages);
  const cones = $derived(desk.lead!.day.cones);
  const standing = (corner: number, point: ConePoint) =>
    cones.find((c) => c.corner === corner && c.point === point);

  function toggle(corner: number, point: ConePoint) {
    const there = standing(corner, point);
    const cone = coneAt(
      pages.find((p) => p.corner === corner)!,
      point,
    );
    void desk.change((d) => ({
      ...d,
      cones: there ? d.cones.filter((c) => c !== there) : cone ? [...d.cones, cone] : d.cones,
    }));
  }

  const put = (cone: Cone, change: Partial<Cone>) =>
    desk.change((d) => ({
      ...d,
      cones: d.cones.map((c) => (c === cone ? { ...c, ...change } : c)),
    }));

  /** Metres behind the page's point. */
  function past(cone: Cone): number {
    const page = pages.find((p) => p.corner === cone.corner);
    const at = page && stationOf(page, cone.point);
    return at === undefined ? 0 : between(book.view!.trace, at, cone.at_m);
  }
  function move(cone: Cone, figure: string) {
    const typed = Number(figure.replace(',', '.').replace('−', '-'));
    if (figure.trim() === '' || !Number.isFinite(typed)) return;
    const by = lengthFrom(typed, preferences.length) - past(cone);
    const lap = book.view!.trace.length_m;
    void put(cone, { at_m: (((cone.at_m + by) % lap) + lap) % lap });
  }
</script>

<div class="desk:flex gap-8">
  <!-- At 400 % it is moved under the finger: what stands in columns needs them. -->
  <div class="overflow-x-auto">
    <table class="figures desk:w-[430px] w-full shrink-0 text-lg">
      <thead>
        <tr class="border-base-content border-b-2 text-left"
          ><th>corner</th>{#each POINTS as [point, name] (point)}<th class="text-center">{name}</th
            >{/each}</tr
        >
      </thead>
      <tbody>
        {#each pages as page (page.corner)}
          <tr class="border-base-300 border-b">
            <td>{cornerName(page)}</td>
            {#each POINTS as [point, name] (point)}
              <td class="p-0.5 text-center">
                {#if coneAt(page, point)}
                  <button
                    class={[
                      'min-h-11 w-20 rounded border-2',
                      standing(page.corner, point)
                        ? 'border-base-content font-bold'
                        : 'border-base-300',
                    ]}
                    aria-pressed={standing(page.corner, point) !== undefined}
                    aria-label="{name} of corner {page.corner}"
                    onclick={() => toggle(page.corner, point)}
                    >{standing(page.corner, point) ? '▲ stands' : 'set'}</button
                  >
                {:else}–{/if}
              </td>
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  <div class="min-w-0 grow">
    <h2 class="figures text-xl font-semibold">Standing today: {cones.length}</h2>
    <p class="text-neutral leading-snug">
      They belong to this day and no page is changed by them. Have the circuit’s staff agree, and
      count them in again.
    </p>
    <ul data-cones>
      {#each cones as cone (`${cone.corner} ${cone.point}`)}
        <li class="border-base-300 flex flex-wrap items-center gap-2 border-b py-1.5">
          <span class="figures w-24 text-lg"
            ><strong>{cone.corner}</strong> {POINTS.find(([p]) => p === cone.point)![1]}</span
          >
          <select
            class="select h-11 w-24"
            aria-label="What stands at {cone.point} of corner {cone.corner}"
            value={cone.what}
            onchange={(e) => put(cone, { what: e.currentTarget.value as Cone['what'] })}
          >
            <option value="cone">cone</option><option value="board">board</option>
          </select>
          <select
            class="select h-11 w-24"
            aria-label="Side of {cone.point} of corner {cone.corner}"
            value={cone.side}
            onchange={(e) => put(cone, { side: e.currentTarget.value as Cone['side'] })}
          >
            <option value="left">left</option><option value="right">right</option>
          </select>
          <label class="figures flex items-center gap-1"
            ><input
              class="input h-11 w-16 px-2 text-right"
              value={String(Math.round(lengthIn(past(cone), preferences.length)))}
              onchange={(e) => move(cone, e.currentTarget.value)}
            />{preferences.length} past the page’s point, minus before</label
          >
          <input
            class="input h-11 w-28 grow px-2"
            aria-label="Note on {cone.point} of corner {cone.corner}"
            placeholder="note"
            maxlength="200"
            value={cone.note}
            onchange={(e) => put(cone, { note: e.currentTarget.value })}
          />
          {#if cone.point === 'brake' && past(cone) > 1}
            <p class="text-warning w-full font-semibold">
              ▲ It stands behind the page’s brake point: who brakes at it brakes too late.
            </p>
          {/if}
        </li>
      {/each}
    </ul>
  </div>
</div>
