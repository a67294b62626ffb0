<script lang="ts">
  import { cornerName } from '../ui/corner-name';
  import { api } from '../api/client';
  import { Working } from '../api/working.svelte';
  import type { Decision, KeptSession, Prepared } from '../api/sessions';
  import type { View } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import { compareConditions } from '../book/compare';
  import { route } from '../router';
  import { platesOf } from '../strip/plates';
  import Strip from '../strip/Strip.svelte';
  import { plainKey } from '../ui/keys';
  import Problem from '../ui/Problem.svelte';
  import Stale from '../ui/Stale.svelte';
  import Tabs from '../ui/Tabs.svelte';
  import { gain, gainOver, lapTime } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import ChangeRow from './ChangeRow.svelte';
  import IssueBar from './IssueBar.svelte';
  import { acceptRest, changedPages, decisionOn } from './prepared';
  import SessionLinks from './SessionLinks.svelte';
  import { hourWords, sessionName } from './words';

  const book = useBook();
  const id = route.params.session!;
  let kept = $state.raw<KeptSession>();
  let prepared = $state.raw<Prepared>();
  /** The newest revision, which the changes are told against. */
  let parent = $state.raw<View>();
  /** What would be issued now. */
  let then = $state.raw<View>();
  const working = new Working();
  let chosen = $state<number>();

  const pages = $derived(prepared ? changedPages(prepared) : []);
  const open = $derived(pages.reduce((sum, page) => sum + page.open, 0));
  const at = $derived(
    Math.max(
      0,
      pages.findIndex((page) => page.corner === chosen),
    ),
  );
  const changed = $derived(pages[at]);
  const tabs = $derived(
    pages.map((p) => ({
      key: String(p.corner),
      name: `${p.corner}${p.open ? '' : ' ✓'}`,
      label: `Corner ${p.corner}, ${p.open ? `${p.open} open` : 'decided'}`,
    })),
  );
  const pageOf = (view: View | undefined) =>
    view?.revision.pages.find((p) => p.corner === changed?.corner);
  const page = $derived(pageOf(then));
  const before = $derived(pageOf(parent));
  const { writer } = preferences;
  const conditions = $derived(
    prepared ? compareConditions(prepared.parentConditions, prepared.conditions, writer) : [],
  );

  /** The session as somebody else kept it while this was being decided. */
  let theirs = $state.raw<KeptSession>();
  /** What was to be kept then. */
  let again = $state.raw<() => Promise<void>>();

  const run = (work: () => Promise<void>) =>
    working.run(work, (refused) => {
      if (!refused.theirs) return false;
      theirs = refused.theirs as KeptSession;
      again = work;
      return true;
    });

  async function take(answer: Prepared) {
    then = await api.tryOut(book.id, {
      parent: answer.parent,
      conditions: answer.conditions,
      line: answer.line,
      lineOffsets_m: answer.lineOffsets_m ?? undefined,
      ownValues: answer.ownValues,
      setup: answer.setup ?? undefined,
    });
    if (parent?.revision.number !== answer.parent) parent = await api.view(book.id, answer.parent);
    prepared = answer;
  }

  const load = () =>
    run(async () => {
      theirs = undefined;
      kept = await api.session(id);
      await take(await api.prepare(id));
    });
  void load();

  /** Decides the same again, on the session as it is now. */
  async function decideAgain() {
    const work = again!;
    await load();
    await run(work);
  }

  function keep(decisions: Decision[], goOn = false) {
    const next = goOn ? nextOpen() : undefined;
    return run(async () => {
      await take(await api.decide(id, decisions, prepared!.edition));
      if (next !== undefined) chosen = next;
    });
  }

  /** The next page on which something is to be decided, after the present one. */
  function nextOpen(): number | undefined {
    const order = [...pages.slice(at + 1), ...pages.slice(0, at)];
    return order.find((p) => p.open > 0)?.corner;
  }

  const issue = (reason: string) =>
    run(async () => {
      kept = await api.issue(id, reason, prepared!.edition);
      await book.open(kept.session.revision);
      await take(await api.prepare(id));
    });

  function onkeydown(event: KeyboardEvent) {
    if (plainKey(event) === 'a' && prepared && changed && !working.busy) {
      void keep(acceptRest(prepared, changed.corner), true);
    }
  }
</script>

<svelte:window {onkeydown} />
<svelte:head><title>Prepare · {book.book!.name} · Marvek</title></svelte:head>
<div class="pb-24" aria-busy={working.busy}>
  {#if working.problem}<Problem problem={working.problem} onclose={working.clear} />{/if}
  {#if kept}
    <div class="flex flex-wrap items-baseline gap-x-4">
      <h1 class="text-3xl font-bold">
        {sessionName(kept)}, {hourWords(kept.session.startsAt)}
      </h1>
      {#if prepared}
        <p class="figures text-lg">
          {lapTime(prepared.parentLap_s)} →
          <strong class="text-2xl">{lapTime(prepared.lap_s)}</strong>, {gainOver(
            prepared.lap_s - prepared.parentLap_s,
            `revision ${prepared.parent}`,
          )}
        </p>
      {/if}
    </div>
    <SessionLinks {kept} current="prepare" />
  {/if}
  {#if prepared && kept && then && parent}
    {#if conditions.length}
      <p class="pt-1 leading-snug" data-conditions>
        {#each conditions as d, i (d.what)}{i ? ' · ' : ''}{d.what}
          {d.before} → <strong>{d.after}</strong>{/each}
      </p>
    {/if}
    {#if pages.length === 0}
      <p class="py-4 text-lg">
        Nothing on the pages changes for this session: the newest revision is made for such a day.
      </p>
    {:else if changed && page && before}
      <div class="desk:flex gap-4 pt-2">
        <div class="desk:w-[560px] shrink-0">
          <Strip
            {page}
            trace={then.trace}
            height={565}
            others={{ plates: platesOf(before), whose: `revision ${prepared.parent}` }}
            lines={[
              {
                letters: `r${prepared.parent}`,
                name: `revision ${prepared.parent}`,
                from_m: 0,
                step_m: parent.trace.step_m,
                offset_m: parent.trace.offset_m,
                dash: '9 4',
              },
            ]}
          />
          <p class="text-neutral text-sm">
            Full plates: this session. Round dashed ones and the dashed line: revision {prepared.parent}.
          </p>
        </div>
        <div class="min-w-0 grow">
          <Tabs
            label="Changed pages"
            id="changed"
            look="boxes"
            {tabs}
            open={String(changed.corner)}
            onopen={(corner) => (chosen = Number(corner))}
          >
            <div class="flex items-baseline gap-3 pt-1">
              <h2 class="text-3xl font-bold">{cornerName(page)}</h2>
              <p class="figures text-lg">{gain(page.time_s - before.time_s)}</p>
            </div>
            <ul data-changes>
              {#each changed.changes as change (change.field)}
                <ChangeRow
                  {change}
                  {page}
                  {before}
                  trace={then.trace}
                  decision={decisionOn(prepared.decisions, change)}
                  busy={working.busy}
                  ondecide={(decisions) => keep(decisions)}
                  decisions={prepared.decisions}
                />
              {/each}
            </ul>
            <div class="flex items-center gap-3 pt-3">
              <button
                class="btn btn-primary"
                disabled={working.busy}
                onclick={() => keep(acceptRest(prepared!, changed.corner), true)}
                >{changed.open ? 'Accept this page, go on' : 'Go on'}</button
              >
              <span class="text-neutral">key A</span>
            </div>
            {#if prepared.openPoints.length}
              <h3 class="figures pt-4 text-lg font-semibold">Still open from before</h3>
              <ul class="list-inside list-disc">
                {#each prepared.openPoints as point, i (i)}
                  <li>{point.corner ? `Corner ${point.corner}: ` : ''}{point.words}</li>
                {/each}
              </ul>
            {/if}
          </Tabs>
        </div>
      </div>
    {/if}
    <IssueBar
      {kept}
      parent={prepared.parent}
      changed={pages.length}
      {open}
      busy={working.busy}
      onaccept={() => keep(acceptRest(prepared!))}
      onissue={issue}
    />
  {:else if working.busy}
    <p class="p-4" role="status">Computing the book for this session …</p>
  {/if}
</div>
{#if theirs && kept}
  <Stale
    what="The session"
    theirs={theirs.session}
    mine={kept.session}
    ontheirs={load}
    onmine={decideAgain}
    onclose={() => (theirs = undefined)}
  />
{/if}
