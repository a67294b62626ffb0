<script lang="ts">
  import { api } from '../api/client';
  import type { KeptSheet } from '../api/answers';
  import type { TyreSet } from '../api/sessions';
  import { useBook } from '../book/book-state.svelte';
  import ChoiceInput from '../ui/ChoiceInput.svelte';
  import NumberInput from '../ui/NumberInput.svelte';
  import TextInput from '../ui/TextInput.svelte';
  import { useSession } from './session-state.svelte';

  const session = useSession();
  const book = useBook();
  const s = $derived(session.now!);
  const tyres = (part: Partial<TyreSet>) => session.set({ tyres: { ...s.tyres, ...part } });

  let sheets = $state.raw<KeptSheet[]>([]);
  void session.run(async () => (sheets = await api.sheets(book.book!.carId)));
  /** A sheet that is no longer kept is still the one of this session. */
  const names = $derived.by((): [string, string][] => {
    const kept = sheets.map(({ sheet }): [string, string] => [sheet.name, sheet.name]);
    const own = s.setup?.name;
    const known = own === undefined || kept.some(([name]) => name === own);
    return [['', 'the book’s own'], ...kept, ...(known ? [] : [[own!, own!] as [string, string]])];
  });

  function takeSheet(name: string) {
    const sheet = sheets.find((k) => k.sheet.name === name)?.sheet;
    if (sheet || name === '') session.set({ setup: sheet });
  }
</script>

<h2 class="text-xl font-semibold">Tyres and car</h2>
<TextInput
  label="Set"
  value={s.tyres.name}
  max={60}
  error={session.at('tyres.name')}
  onchange={(name) => tyres({ name })}
/>
<div class="grid grid-cols-1 xs:grid-cols-2 gap-x-4">
  <NumberInput
    label="Laps on it"
    whole
    min={0}
    max={2000}
    value={s.tyres.laps}
    error={session.at('tyres.laps')}
    onchange={(laps) => tyres({ laps: laps! })}
  />
  <NumberInput
    label="Good for"
    whole
    min={1}
    max={2000}
    value={s.tyres.goodLaps}
    error={session.at('tyres.goodLaps')}
    onchange={(goodLaps) => tyres({ goodLaps: goodLaps! })}
  />
</div>
<TextInput
  label="In use since"
  type="date"
  value={s.tyres.inUseSince ?? ''}
  error={session.at('tyres.inUseSince')}
  onchange={(v) => tyres({ inUseSince: v || undefined })}
/>
<NumberInput
  label="Fuel at the start"
  unit="kg"
  min={0}
  max={500}
  value={s.conditions.fuel_kg}
  error={session.at('fuel_kg')}
  onchange={(fuel_kg) => session.setConditions({ fuel_kg: fuel_kg! })}
/>
<ChoiceInput label="Setup sheet" value={s.setup?.name ?? ''} options={names} onchange={takeSheet} />
