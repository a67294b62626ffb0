import type { LapValue } from '../api/laps';
import type { Trace } from '../api/types';
import { between } from '../strip/lap-axis';

/** Writes lengths, distances across the road and speeds with their units. */
export interface ValueWriter {
  length: (m: number) => string;
  across: (m: number) => string;
  speed: (mps: number) => string;
}

const TITLES: Record<string, string> = {
  'brake.at_m': 'brake point',
  'turnIn.at_m': 'turn-in',
  'trailBrake.release_m': 'off the brake',
  'trailBrake.atTurnIn_pct': 'pressure at the turn-in',
  'gears.corner': 'gear',
  'apexes.speed_mps': 'lowest speed',
  'apexes.offset_m': 'apex',
  'throttle.first_m': 'first throttle',
  'throttle.full_m': 'full throttle',
};

/** What a value is of. */
export const titleOf = (field: string) => TITLES[field] ?? field;

const isStation = (field: string) => field.endsWith('_m') && field !== 'apexes.offset_m';

/** By how much one value is from another, with the word for which way. */
function apart(field: string, from: number, to: number, trace: Trace, w: ValueWriter): string {
  if (isStation(field)) {
    const by = between(trace, from, to);
    return `${w.length(Math.abs(by))} ${by > 0 ? 'later' : 'earlier'}`;
  }
  const by = to - from;
  const more = by > 0 ? 'more' : 'less';
  if (field === 'apexes.speed_mps')
    return `${w.speed(Math.abs(by))} ${by > 0 ? 'faster' : 'slower'}`;
  if (field === 'apexes.offset_m') {
    return `${w.across(Math.abs(by))} farther ${by > 0 ? 'left' : 'right'}`;
  }
  if (field === 'gears.corner') return `${from} → ${to}`;
  return `${Math.round(Math.abs(by))} % ${more}`;
}

/** What it would change of the page. */
export function changeWords(value: LapValue, trace: Trace, w: ValueWriter): string {
  const to = value.copy ? value.after : value.theirs;
  return apart(value.field, value.before, to, trace, w);
}

/** What the page's own lap would do with it. */
export function costWords({ page_s }: LapValue): string {
  if (page_s == null) return 'The model cannot drive it: past its limit.';
  if (Math.abs(page_s) < 0.005) return 'The page’s own lap: level (model).';
  return `The page’s own lap: ${Math.abs(page_s).toFixed(2)} s ${page_s > 0 ? 'slower' : 'faster'} (model).`;
}

/** What is to be known of it before it is taken. */
export function cautionsOf(value: LapValue, trace: Trace, w: ValueWriter): string[] {
  const his = () => apart(value.field, value.before, value.theirs, trace, w);
  const words: Record<string, () => string> = {
    scaled: () => `This lap: ${his()}; brought to your grip.`,
    'kept-back': () =>
      `▲ This lap: ${his()}. Yours is held before the latest point less its margin.`,
    'kept-in': () =>
      `▲ This lap: ${his()}. Yours is held inside your limits and your use of the kerb.`,
    'other-vehicle': () => '✕ Of another vehicle: not to be copied.',
    'other-surface': () => '✕ Driven on another surface: not to be copied.',
  };
  return value.cautions.map((c) => words[c]?.() ?? c);
}
