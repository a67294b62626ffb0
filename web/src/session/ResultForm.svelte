<script lang="ts">
  import type { SessionResult } from '../api/sessions';
  import NumberInput from '../ui/NumberInput.svelte';
  import TextInput from '../ui/TextInput.svelte';
  import { lapTime } from '../units/format';
  import { parseLapTime } from './words';
  import { useSession } from './session-state.svelte';

  const session = useSession();
  const result = $derived(session.now!.result);
  let wrong = $state<string>();
  const set = (part: Partial<SessionResult>) =>
    session.set({ result: { laps: 0, ...result, ...part } });

  function best(text: string) {
    wrong = undefined;
    if (text.trim() === '') return set({ bestLap_s: undefined });
    const seconds = parseLapTime(text);
    if (seconds === undefined) wrong = `"${text}" is no lap time: write it as 1:43.25.`;
    else set({ bestLap_s: seconds });
  }
</script>

<h2 class="pt-3 text-xl font-semibold">What came of it</h2>
<div class="grid grid-cols-1 xs:grid-cols-2 gap-x-4">
  <NumberInput
    label="Laps"
    whole
    min={0}
    max={2000}
    optional
    value={result?.laps}
    error={session.at('result.laps')}
    onchange={(laps) => (laps === undefined ? session.set({ result: undefined }) : set({ laps }))}
  />
  <TextInput
    label="Best"
    width="w-24"
    value={result?.bestLap_s ? lapTime(result.bestLap_s) : ''}
    error={wrong ?? session.at('result.bestLap_s')}
    onchange={best}
  />
</div>
<label class="block">
  <span>What was learned</span>
  <textarea
    class="textarea h-20 w-full text-base"
    maxlength="4000"
    value={result?.learned ?? ''}
    onchange={(e) => set({ learned: e.currentTarget.value || undefined })}></textarea>
</label>
