<script lang="ts">
  import { api } from '../api/client';
  import { Working } from '../api/working.svelte';
  import type { KeptSession, Kind, Session } from '../api/sessions';
  import type { Problem as ProblemType } from '../api/types';
  import { useBook } from '../book/book-state.svelte';
  import { navigate } from '../router';
  import ChoiceInput from '../ui/ChoiceInput.svelte';
  import Problem from '../ui/Problem.svelte';
  import TextInput from '../ui/TextInput.svelte';
  import { lapTime } from '../units/format';
  import { fieldWords } from './field-words';
  import { hourWords, inWords, KINDS, nextOf, PURPOSES, stateWords } from './words';

  const book = useBook();
  let sessions = $state.raw<KeptSession[]>();
  const working = new Working();
  /** What was refused of the session that is being planned. */
  let refused = $state.raw<ProblemType>();
  let planning = $state(false);
  const now = new Date();
  const next = $derived(nextOf(sessions ?? [], now));

  let event = $state('');
  let kind = $state<Kind>('practice');
  let startsAt = $state(tomorrow());

  void working.run(async () => {
    sessions = await api.sessions(book.id);
    event = sessions.at(-1)?.session.event ?? book.book!.circuit;
  });

  function tomorrow(): string {
    const day = new Date(now.getTime() + 86_400_000);
    return `${day.toISOString().slice(0, 10)}T10:00`;
  }

  /** A session with what the newest revision and the sessions before know already. */
  function planned(): Session {
    const last = sessions?.[sessions.length - 1]?.session;
    return {
      event,
      kind,
      startsAt,
      length_min: 25,
      purpose: kind === 'qualifying' || kind === 'race' ? kind : 'practice',
      tyres: last?.tyres ?? { name: 'Set 1', laps: 0, goodLaps: 60 },
      conditions: { ...book.base!.revision.conditions, at: undefined },
      setup: book.base!.revision.setup,
    };
  }

  async function plan() {
    refused = undefined;
    planning = true;
    const plans = async () => {
      const { id } = await api.planSession(book.id, planned());
      await navigate('/books/:id/sessions/:session', { params: { id: book.id, session: id } });
    };
    try {
      await working.run(plans, (problem) => !!problem.field && !!(refused = problem));
    } finally {
      planning = false;
    }
  }

  const at = (field: string) => (refused?.field === field ? fieldWords(refused) : undefined);
</script>

<svelte:head><title>Sessions · {book.book!.name} · Marvek</title></svelte:head>
<div class="max-w-5xl pb-20">
  <div class="flex flex-wrap items-center gap-2">
    <h1 class="grow text-3xl font-bold">Sessions</h1>
    <a class="btn btn-ghost" href="/books/{book.id}/laps">Laps side by side</a>
    <a class="btn btn-ghost" href="/books/{book.id}/steps">Step board</a>
    {#if sessions?.length}
      <a class="btn btn-ghost" href="/api/books/{book.id}/sessions.ics" download
        >Calendar, iCalendar</a
      >
    {/if}
  </div>
  {#if working.problem}<Problem problem={working.problem} onclose={working.clear} />{/if}
  {#if !sessions && !working.problem}<p class="p-4" role="status">Looking up the sessions …</p>{/if}
  {#if sessions?.length === 0}
    <p class="py-3 text-lg">
      No session yet. Plan the next one below: Marvek turns the book into the book for that hour.
    </p>
  {:else if sessions}
    <ol class="mt-2" data-sessions>
      {#each sessions as kept (kept.id)}
        {@const s = kept.session}
        <li class={['border-base-300 border-b', kept === next && 'bg-base-200']}>
          <a
            href="/books/{book.id}/sessions/{kept.id}"
            class="flex min-h-16 flex-wrap items-center gap-x-4 px-2 py-2 sm:flex-nowrap"
          >
            <span class="figures w-44 shrink-0">
              <span class="block text-xl font-semibold">{hourWords(s.startsAt)}</span>
              <span class="text-neutral"
                >{kept.timeZone.replace('_', ' ')}{kept === next
                  ? ` · ${inWords(kept.begins, now)}`
                  : ''}</span
              >
            </span>
            <span class="min-w-0 grow basis-full sm:basis-0">
              <span class="figures block text-xl font-semibold first-letter:uppercase"
                >{KINDS[s.kind]}, {s.conditions.surface} road{s.conditions.parts?.length
                  ? ' in parts'
                  : ''}</span
              >
              <span class="text-neutral block truncate"
                >{s.event} · {PURPOSES[s.purpose].name.toLowerCase()} · {s.tyres.name}, {s.tyres
                  .laps} laps · {s.length_min} min</span
              >
            </span>
            <span class="figures shrink-0 sm:w-52 sm:text-right text-lg leading-tight">
              <span class="block font-semibold">{stateWords(s)}</span>
              {#if s.result?.bestLap_s}{lapTime(s.result.bestLap_s)}{/if}
            </span>
          </a>
        </li>
      {/each}
    </ol>
  {/if}

  {#if sessions}
    <form
      class="border-base-300 rounded-box mt-6 border-2 p-4"
      onsubmit={(e) => {
        e.preventDefault();
        void plan();
      }}
    >
      <h2 class="text-2xl font-semibold">Plan a session</h2>
      <div class="grid grid-cols-1 gap-x-8 sm:grid-cols-2">
        <TextInput
          label="Event"
          value={event}
          width="w-64"
          max={120}
          error={at('event')}
          onchange={(v) => (event = v)}
        />
        <ChoiceInput
          label="Kind"
          value={kind}
          options={Object.entries(KINDS)}
          onchange={(v) => (kind = v as Kind)}
        />
        <TextInput
          label="Hour at the circuit"
          type="datetime-local"
          width="w-52"
          value={startsAt}
          error={at('startsAt')}
          onchange={(v) => (startsAt = v)}
        />
      </div>
      <div class="flex items-center justify-end gap-4 pt-2">
        {#if refused && !at('event') && !at('startsAt')}
          <p role="alert" class="text-error font-semibold">{fieldWords(refused)}</p>
        {/if}
        <button class="btn btn-primary" disabled={planning}>Plan it</button>
      </div>
    </form>
  {/if}
</div>
