import type { Finding, Rule } from '../api/laps';

/** Writes lengths and speeds with their units. */
export interface FindingWriter {
  length: (m: number) => string;
  speed: (mps: number) => string;
}

/** What was done, with its size where a lap tells it. */
const WORDS: Record<Rule, [plain: string, sized: (amount: number, w: FindingWriter) => string]> = {
  'braked-early': ['braked early', (a, w) => `braked ${w.length(a)} early`],
  coasted: [
    'on neither pedal before the brake',
    (a) => `on neither pedal before the brake, ${a.toFixed(1)} s too long`,
  ],
  'pressed-little': ['pressed less', (a) => `pressed ${Math.round(a)} % less`],
  'released-soon': ['off the brake as much sooner', () => 'off the brake as much sooner'],
  'held-too-long': [
    'on the brake for too long',
    (a, w) => `on the brake for ${w.length(a)} too long`,
  ],
  'over-slowed': ['over-slowed', (a, w) => `over-slowed by ${w.speed(a)} where the brake is off`],
  'missed-apex': ['off the apex', (a) => `${a.toFixed(1)} m off the apex and its kerb`],
  'missed-kerb': ['off its kerb', (a) => `${a.toFixed(1)} m off, beside the kerb`],
  'turned-in-early': ['turned in early', (a, w) => `turned in ${w.length(a)} early`],
  'early-apex': [
    'early at the apex, and out of road behind it',
    (a, w) => `at the apex ${w.length(a)} early, and out of road behind it`,
  ],
  'late-throttle': ['late on the throttle', (a, w) => `on the throttle ${w.length(a)} late`],
  'slow-to-full': [
    'slow from the first throttle to flat',
    (a, w) => `slow from the first throttle to flat: ${w.length(a)} of it are missing`,
  ],
  'early-throttle-lifted': [
    'on the throttle early, and lifted again',
    (a) => `on the throttle early, and lifted again by ${Math.round(a)} %`,
  ],
  'throttle-twice': [
    'off the throttle again',
    (a) => `off the throttle again, by ${Math.round(a)} % beyond the page`,
  ],
  lifted: [
    'off the throttle where the page stays flat',
    (a, w) => `off the throttle where the page stays flat, ${w.length(a)} of it`,
  ],
  'more-steering': [
    'more steering than the turn needs',
    (a) => `${Math.round(a)}° more steering than the turn needs: the front slides`,
  ],
  'slid-in': [
    'a slide caught on the way in',
    (a) => `a slide caught on the way in, ${Math.round(a)}° of wheel`,
  ],
  'slid-out': [
    'a slide caught under power',
    (a) => `a slide caught under power, ${Math.round(a)}° of wheel`,
  ],
  'slid-on-kerb': [
    'a slide caught on the kerb',
    (a) => `a slide caught on the kerb, ${Math.round(a)}° of wheel`,
  ],
  'other-gear': [
    'in another gear',
    (a) => (a === 1 ? 'a gear away from the page’s' : `${Math.round(a)} gears from the page’s`),
  ],
  'short-shift': [
    'changed up for a short straight',
    (a) => (a === 1 ? 'a change up for a short straight' : `${Math.round(a)} changes up`),
  ],
  inconsistent: ['brake points scatter', (a, w) => `brake points scatter by ${w.length(a)}`],
};

/** A cause without its size, as a driver would say it. */
export const causeWords = (rule: Rule) => WORDS[rule][0];

/** What was done, with its size. */
export function findingWords(
  { rule, amount }: { rule: Rule; amount?: number | null },
  w: FindingWriter,
): string {
  const [plain, sized] = WORDS[rule];
  return amount == null ? plain : sized(amount, w);
}

/** The same with the second part of the slip. */
export function wholeWords(finding: Pick<Finding, 'rule' | 'amount' | 'with'>, w: FindingWriter) {
  const first = findingWords(finding, w);
  return finding.with ? `${first}, and ${causeWords(finding.with)}` : first;
}

/** How often it was done. */
export function oftenWords({ often, laps, of }: Pick<Finding, 'often' | 'laps' | 'of'>): string {
  if (of === 1) return 'in the one lap that counts';
  return often === 'once' ? `once, of ${of} laps` : `on ${laps.length} of ${of} laps`;
}

/** The one thing to do about it. */
export const ACTIONS: Record<Rule, string> = {
  'braked-early': 'Look for the mark; move up to it by the step board.',
  coasted: 'Stay on the throttle to the brake: the foot changes over at once.',
  'pressed-little': 'Press as hard as the page at once, and later.',
  'released-soon': 'Move the whole braking up to the mark.',
  'held-too-long': 'Let the brake go at its plate, and the car turn.',
  'over-slowed': 'Come off the brake sooner and let it roll to the apex.',
  'missed-apex': 'Look at the inside earlier, and go as near as the page has it.',
  'missed-kerb': 'Take the kerb as the page has it: it opens the bend.',
  'turned-in-early': 'Wait for the turn-in mark.',
  'early-apex': 'Turn in later, and be at the inside later: the road behind it opens.',
  'late-throttle': 'Pick the throttle up at the plate, little at first.',
  'slow-to-full': 'Open it in one go from the first touch: the road behind is free.',
  'early-throttle-lifted': 'Wait for the throttle until it need not come off again.',
  'throttle-twice': 'One press that grows: less at first, and no lift.',
  lifted: 'Leave the foot down, first where there is room to run off; in steps.',
  'more-steering': 'Less wheel, and a little slower in: the front comes back.',
  'slid-in': 'Come off the brake as you turn; less of it at the turn-in.',
  'slid-out': 'Open the throttle as the wheel is opened, not before.',
  'slid-on-kerb': 'Less of this kerb, or none with the throttle open.',
  'other-gear': 'Try the page’s gear, or write yours down.',
  'short-shift': 'Hold the gear: the change costs more than the limiter.',
  inconsistent: 'One mark, the same every lap, before it is moved.',
};
