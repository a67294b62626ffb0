<script lang="ts">
  import type { Kind, Purpose } from '../api/sessions';
  import ChoiceInput from '../ui/ChoiceInput.svelte';
  import NumberInput from '../ui/NumberInput.svelte';
  import TextInput from '../ui/TextInput.svelte';
  import { useSession } from './session-state.svelte';
  import { KINDS, PURPOSES } from './words';

  const session = useSession();
  const s = $derived(session.now!);
</script>

<h2 class="text-xl font-semibold">When and what for</h2>
<TextInput
  label="Event"
  value={s.event}
  width="w-52"
  max={120}
  error={session.at('event')}
  onchange={(event) => session.set({ event })}
/>
<ChoiceInput
  label="Kind"
  value={s.kind}
  options={Object.entries(KINDS)}
  onchange={(kind) => session.set({ kind: kind as Kind })}
/>
<TextInput
  label="Hour"
  type="datetime-local"
  width="w-52"
  value={s.startsAt.slice(0, 16)}
  error={session.at('startsAt')}
  onchange={(startsAt) => session.set({ startsAt, laterHour: undefined })}
/>
<p class="text-neutral text-right text-sm">the circuit's clocks, {session.kept!.timeZone}</p>
{#if session.kept!.comesTwice || s.laterHour}
  <ChoiceInput
    label="That hour comes twice"
    width="w-28"
    value={s.laterHour ? 'later' : 'first'}
    options={[
      ['first', 'the first'],
      ['later', 'the second'],
    ]}
    error={session.at('laterHour')}
    onchange={(v) => session.set({ laterHour: v === 'later' ? true : undefined })}
  />
{/if}
<NumberInput
  label="Length"
  whole
  unit="min"
  min={1}
  max={1500}
  value={s.length_min}
  error={session.at('length_min')}
  onchange={(length_min) => session.set({ length_min: length_min! })}
/>
<ChoiceInput
  label="Purpose"
  value={s.purpose}
  options={Object.entries(PURPOSES).map(([key, { name }]) => [key, name])}
  onchange={(purpose) => session.set({ purpose: purpose as Purpose })}
/>
<p class="text-neutral text-right text-sm">{PURPOSES[s.purpose].means}</p>
