<!-- @component What an organiser's notice says of a stretch: wheels, line, place, consequence. -->
<script lang="ts">
  import NumberInput from '../ui/NumberInput.svelte';
  import { lengthFrom, lengthIn } from '../units/format';
  import { preferences } from '../units/preferences.svelte';
  import ChoiceField from './ChoiceField.svelte';
  import { CONSEQUENCES, LIMIT_LINES, LIMITED_SESSIONS, spoken } from './edits';
  import type { LimitStretch } from './types';

  interface Props {
    stretch: LimitStretch;
    onchange: (part: Partial<LimitStretch>) => void;
  }
  const { stretch, onchange }: Props = $props();
  const WHEELS = ['1', '2', '4'] as const;
  const shown = (metres: number) => lengthIn(metres, preferences.length);
  const metres = (value: number) => lengthFrom(value, preferences.length);

  function setLine(line: LimitStretch['line'] | undefined) {
    if (line) onchange({ line, beyondM: line === 'BEYOND' ? 1 : null });
  }
  function setConsequence(consequence: LimitStretch['consequence'] | undefined) {
    if (consequence) onchange({ consequence, penaltyS: consequence === 'TIME' ? 5 : null });
  }
  function setSession(session: LimitStretch['sessions'][number], on: boolean) {
    const rest = stretch.sessions.filter((each) => each !== session);
    onchange({ sessions: on ? [...rest, session] : rest });
  }
</script>

<ChoiceField
  label="Wheels that stay within"
  value={String(stretch.wheels) as (typeof WHEELS)[number]}
  options={WHEELS}
  onchange={(wheels) => wheels && onchange({ wheels: Number(wheels) })}
/>
<ChoiceField label="Line" value={stretch.line} options={LIMIT_LINES} onchange={setLine} />
{#if stretch.line === 'BEYOND'}
  <NumberInput
    label="Beyond the white line"
    unit={preferences.length}
    value={shown(stretch.beyondM ?? 0)}
    min={-Math.floor(shown(30))}
    max={Math.floor(shown(30))}
    onchange={(v) => onchange({ beyondM: metres(v!) })}
  />
{/if}
<NumberInput
  label="Back before"
  unit={preferences.length}
  optional
  value={stretch.backBeforeM == null ? undefined : shown(stretch.backBeforeM)}
  min={0}
  onchange={(v) => onchange({ backBeforeM: v === undefined ? null : metres(v) })}
/>
<ChoiceField
  label="What follows"
  value={stretch.consequence}
  options={CONSEQUENCES}
  onchange={setConsequence}
/>
{#if stretch.consequence === 'TIME'}
  <NumberInput
    label="Seconds added"
    unit="s"
    value={stretch.penaltyS}
    min={0.1}
    max={600}
    onchange={(v) => onchange({ penaltyS: v! })}
  />
{/if}
<fieldset>
  <legend class="pt-1">Counts in (all where none is ticked)</legend>
  <div class="flex flex-wrap gap-x-4">
    {#each LIMITED_SESSIONS as session (session)}
      <label class="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          class="checkbox h-7 w-7"
          checked={stretch.sessions.includes(session)}
          onchange={(e) => setSession(session, e.currentTarget.checked)}
        />
        {spoken(session)}
      </label>
    {/each}
  </div>
</fieldset>
