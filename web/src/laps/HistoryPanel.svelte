<script lang="ts">
  import { lapCalls } from '../api/lap-calls';
  import { Working } from '../api/working.svelte';
  import { untrack } from 'svelte';
  import type { HistoryEntry } from '../api/laps';
  import type { CornerPage, Trace } from '../api/types';
  import { causeWords } from './finding-words';
  import { between } from '../strip/lap-axis';
  import { lapTime } from '../units/format';
  import Problem from '../ui/Problem.svelte';
  import { preferences } from '../units/preferences.svelte';

  interface Props {
    book: string;
    session: string;
    page: CornerPage;
    trace: Trace;
  }
  const { book, session, page, trace }: Props = $props();
  let entries = $state.raw<HistoryEntry[]>();
  const working = new Working();

  $effect(() => {
    const corner = page.corner;
    void untrack(() =>
      working.run(async () => {
        const answer = await lapCalls.history(book, corner);
        if (corner === page.corner) entries = answer;
      }),
    );
  });

  /** Where one braked, from the page as it was for that session. */
  function braked({ brake_m, page_m }: HistoryEntry): string {
    if (brake_m == null || page_m == null) return '–';
    const by = between(trace, page_m, brake_m);
    if (Math.abs(by) < 1) return 'at the page’s mark';
    return `${preferences.lengthText(Math.abs(by))} ${by < 0 ? 'before' : 'behind'} the page’s`;
  }

  function reached(seconds: number | null | undefined, aim: number | null | undefined): string {
    if (seconds == null || aim == null) return '';
    const missing = seconds - aim;
    return missing < 0.005 ? 'reached' : `${missing.toFixed(2)} s to go`;
  }
</script>

<div data-history>
  {#if working.problem}<Problem problem={working.problem} />{/if}
  {#if entries}
    <table class="figures w-full text-base">
      <thead>
        <tr class="border-base-content border-b-2 text-left">
          <th>session</th><th class="px-2">braked</th><th class="text-right">lowest</th><th
            class="text-right">corner</th
          ><th class="pl-3 text-right">best lap</th>
        </tr>
      </thead>
      <tbody>
        {#each entries as e (e.session)}
          <tr
            class={['border-base-300 border-b align-top', e.session === session && 'bg-base-200']}
          >
            <td class="py-1">
              <a class="link" href="/books/{book}/sessions/{e.session}/debrief">{e.name}</a>
              <span class="text-neutral block text-sm"
                >{e.surface}, revision {e.revision}, {e.laps
                  ? `${e.laps} laps`
                  : 'still to be driven'}</span
              >
            </td>
            <td class="px-2 py-1"
              >{braked(e)}<span class="text-neutral block text-sm"
                >{e.brakeSpread_m == null
                  ? ''
                  : `half within ${preferences.lengthText(e.brakeSpread_m)}`}</span
              ></td
            >
            <td class="py-1 text-right"
              >{e.lowest_mps == null ? '–' : preferences.speedText(e.lowest_mps)}</td
            >
            <td class="py-1 text-right"
              >{e.time_s == null ? '–' : `${e.time_s.toFixed(2)} s`}
              <span class="text-neutral block text-sm"
                >{e.charged_s == null ? '' : `costs ${e.charged_s.toFixed(2)} s`}</span
              >
              {#if e.rule && e.rule_s != null}<span class="text-neutral block text-sm" data-dearest
                  >{causeWords(e.rule)}, {e.rule_s.toFixed(2)} s</span
                >{/if}
              <span class="block text-sm whitespace-nowrap" data-aim
                >{e.targetCorner_s == null ? '' : `aim ${e.targetCorner_s.toFixed(2)} s`}</span
              >
              <span class="block text-sm">{reached(e.time_s, e.targetCorner_s)}</span>
            </td>
            <td class="py-1 pl-3 text-right"
              >{e.lap_s == null ? '–' : lapTime(e.lap_s)}
              <span class="block text-sm whitespace-nowrap">aim {lapTime(e.target_s)}</span>
              <span class="block text-sm">{reached(e.lap_s, e.target_s)}</span>
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
    <p class="text-neutral pt-1 text-sm">
      The median of the laps that count, against the page as it was for each session; what the
      corner costs has the straight behind it in it, and under it the dearest cause. The aim is the
      brief’s: from the best lap until then a third of the way to the book, the corner with its
      share.
    </p>
  {:else if !working.problem}<p role="status">Looking through the sessions …</p>{/if}
</div>
