<script lang="ts">
  import { cornerName } from '../ui/corner-name';
  import Printer from '@lucide/svelte/icons/printer';
  import { useBook } from '../book/book-state.svelte';
  import { compareConditions } from '../book/compare';
  import { markWords } from '../page/words';
  import { route } from '../router';
  import Problem from '../ui/Problem.svelte';
  import { lapTime } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import { BriefDesk } from './brief-state.svelte';
  import BriefSide from './BriefSide.svelte';
  import SessionLinks from './SessionLinks.svelte';
  import { hourWords, sessionName } from './words';

  const book = useBook();
  const desk = new BriefDesk(book.id, () => book.view!.trace);
  $effect(() => void desk.load(route.params.session!, preferences.length));
  const brief = $derived(desk.brief);
  const revision = $derived(desk.revision);
  const before = $derived(desk.before);
  const writer = desk.writer;
  const lines = $derived(desk.lines);
  const conditions = $derived(
    before && revision ? compareConditions(before.conditions, revision.conditions, writer) : [],
  );
  const length = (m: number) => preferences.lengthText(m);
</script>

<svelte:head><title>Brief · {book.book!.name} · Marvek</title></svelte:head>
<div class="pb-20 print:pb-0">
  {#if desk.problem}<Problem problem={desk.problem} onclose={desk.clear} />{/if}
  {#if brief && revision}
    <div class="flex flex-wrap items-baseline gap-x-4">
      <h1 class="text-3xl font-bold">
        {sessionName(brief.session)}, {hourWords(brief.session.session.startsAt)}
      </h1>
      <p class="figures grow text-lg">
        {brief.session.session.event} · revision {brief.revision} ·
        <strong class="text-2xl">{lapTime(brief.lap_s)}</strong> by the model
      </p>
      <button class="btn btn-ghost print:hidden" onclick={() => window.print()}
        ><Printer size={18} /> Print</button
      >
    </div>
    <SessionLinks kept={brief.session} current="brief" />
    {#if !brief.issued}
      <p class="border-warning my-1 border-l-4 pl-3 font-semibold" role="status" data-not-prepared>
        The book is not prepared for this session yet: this is revision {brief.revision} as it is.
        <a class="link" href="/books/{book.id}/sessions/{brief.session.id}/prepare">Prepare it</a>
      </p>
    {/if}
    {#if conditions.length}
      <p class="leading-tight" data-day>
        {#each conditions as d, i (d.what)}{i ? ' · ' : ''}{d.what}
          {d.before} → <strong>{d.after}</strong>{/each}
      </p>
    {/if}
    <div class="desk:flex gap-5 pt-1 print:block">
      <BriefSide {brief} />
      <div class="min-w-0 grow">
        <table class="as-lines w-full" data-brief>
          <thead>
            <tr class="border-base-content border-b-2 text-left">
              <th class="w-32">corner</th><th>say</th><th
                >new since revision {brief.parent ?? '–'}</th
              >
              <th class="w-48">caution</th>
            </tr>
          </thead>
          <tbody>
            {#each lines as line (line.corner)}
              <tr
                class={[
                  'border-base-300 h-[44px] border-b align-top print:h-auto',
                  line.focus && 'bg-base-200',
                ]}
              >
                <td class="figures whole-row py-0.5 text-lg leading-tight">
                  <a
                    class="link inline-flex sm:-my-0.5 min-h-11 items-center gap-1 print:min-h-0"
                    href="/books/{book.id}/corner/{line.corner}">{cornerName(line)}</a
                  >
                  {#if line.focus}<span class="block text-sm font-semibold">★ focus</span>{/if}
                </td>
                <td class="whole-row py-0.5 pr-3 text-[1.05rem] leading-tight">
                  {line.say}
                  {#each line.days as day (day)}<span
                      class="block text-[0.95rem] font-semibold"
                      data-own-day>{day}</span
                    >{/each}
                  {#if line.step}
                    <span class="block text-[0.95rem]"
                      >↗ step {line.step.step + 1} of {line.step.steps_m.length}: brake
                      <strong
                        >{line.step.now
                          ? markWords(line.step.now, length)
                          : length(line.step.now_m)}</strong
                      ></span
                    >
                  {/if}
                </td>
                <td class="py-0.5 pr-3 text-[0.92rem] leading-tight" data-label="new:">
                  {line.changed.slice(0, 3).join(', ')}
                  {#if line.changed.length === 0}<span class="text-neutral">as before</span>{/if}
                  {#if line.changed.length > 3}
                    <a
                      class="link text-sm"
                      href="/books/{book.id}/compare"
                      title={line.changed.slice(3).join('; ')}>and {line.changed.length - 3} more</a
                    >
                  {/if}
                </td>
                <td class="text-warning py-0.5 text-[0.92rem] leading-tight font-semibold">
                  {#each line.cautions as caution (caution)}<span class="block"
                      ><span aria-hidden="true">▲</span> {caution}</span
                    >{/each}
                </td>
              </tr>
            {/each}
          </tbody>
        </table>
      </div>
    </div>
  {:else if !desk.problem}<p class="p-4" role="status">Writing the brief …</p>{/if}
</div>
