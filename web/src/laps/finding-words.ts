import type { Finding, Rule } from '../api/laps';

/** Writes lengths and speeds with their units. */
export interface FindingWriter {
  length: (m: number) => string;
  speed: (mps: number) => string;
}

/** What was done, with its size. */
export function findingWords({ rule, amount }: Finding, w: FindingWriter): string {
  const words: Record<Rule, () => string> = {
    'braked-early': () => `braked ${w.length(amount)} early`,
    'braked-late': () => `braked ${w.length(amount)} late`,
    'over-slowed': () => `${w.speed(amount)} too slow at the lowest place`,
    'late-throttle': () => `on the throttle ${w.length(amount)} late`,
    'released-early': () => `off the brake ${w.length(amount)} early`,
    coasting: () => `${amount.toFixed(1)} s on neither pedal`,
    'other-gear': () => (amount === 1 ? 'another gear' : `${Math.round(amount)} gears away`),
    inconsistent: () => `brake points scatter by ${w.length(amount)}`,
  };
  return words[rule]();
}

/** The one thing to do about it. */
export const ACTIONS: Record<Rule, string> = {
  'braked-early': 'Look for the mark; move up to it by the step board.',
  'braked-late': 'If the corner was made every time, move the page; if not, go back to the mark.',
  'over-slowed': 'Come off the brake sooner and let it roll to the apex.',
  'late-throttle': 'Pick the throttle up at the plate, little at first.',
  'released-early': 'Hold a trace of brake to the plate.',
  coasting: 'Let the brake go as the throttle comes: no wait between.',
  'other-gear': 'Try the page’s gear, or write yours down.',
  inconsistent: 'One mark, the same every lap, before it is moved.',
};
