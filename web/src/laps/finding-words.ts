import type { Finding, Rule } from '../api/laps';

/** Writes lengths and speeds with their units. */
export interface FindingWriter {
  length: (m: number) => string;
  speed: (mps: number) => string;
}

const times = (n: number) => (n === 1 ? 'once' : n === 2 ? 'twice' : `${Math.round(n)} times`);

/** What was done, with its size. */
export function findingWords(
  { rule, amount }: Pick<Finding, 'rule' | 'amount'>,
  w: FindingWriter,
): string {
  const words: Record<Rule, () => string> = {
    'braked-early': () => `braked ${w.length(amount)} early`,
    'braked-late': () => `braked ${w.length(amount)} late`,
    'over-slowed': () => `${w.speed(amount)} too slow at the lowest place`,
    'turned-in-early': () => `turned in ${w.length(amount)} early`,
    'released-early': () => `off the brake ${w.length(amount)} early`,
    'held-too-long': () => `on the brake ${w.length(amount)} too long`,
    coasting: () => `${amount.toFixed(1)} s on neither pedal`,
    'missed-apex': () => `${amount.toFixed(1)} m off the apex and its kerb`,
    'early-apex': () => `at the apex ${w.length(amount)} early, and out of road behind it`,
    'late-throttle': () => `on the throttle ${w.length(amount)} late`,
    'early-throttle-lifted': () => `on the throttle ${w.length(amount)} early, and lifted again`,
    'throttle-twice': () => `off the throttle again ${times(amount)} before it was flat`,
    'other-gear': () =>
      amount === 1 ? 'another gear' : `${Math.round(amount)} gears from the page's`,
    'short-shift': () =>
      amount === 1 ? 'a change up for a short straight' : `${Math.round(amount)} changes up`,
    inconsistent: () => `brake points scatter by ${w.length(amount)}`,
  };
  return words[rule]();
}

/** The one thing to do about it. */
export const ACTIONS: Record<Rule, string> = {
  'braked-early': 'Look for the mark; move up to it by the step board.',
  'braked-late': 'If the corner was made every time, move the page; if not, go back to the mark.',
  'over-slowed': 'Come off the brake sooner and let it roll to the apex.',
  'turned-in-early': 'Wait for the turn-in mark; look at the apex only then.',
  'released-early': 'Hold a trace of brake to the plate.',
  'held-too-long': 'Let the brake go at the plate: more of it keeps the car from turning.',
  coasting: 'Let the brake go as the throttle comes: no wait between.',
  'missed-apex': 'Look at the inside earlier, and go as near as the page has it.',
  'early-apex': 'Turn in later, and be at the inside later: the road behind it opens.',
  'late-throttle': 'Pick the throttle up at the plate, little at first.',
  'early-throttle-lifted': 'Wait for the throttle until it need not come off again.',
  'throttle-twice': 'One press that grows: less at first, and no lift.',
  'other-gear': 'Try the page’s gear, or write yours down.',
  'short-shift': 'Hold the gear: the change costs more than the limiter.',
  inconsistent: 'One mark, the same every lap, before it is moved.',
};
