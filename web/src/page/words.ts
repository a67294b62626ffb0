import { say } from '../say/say.svelte';
import type { School } from '../api/answers';
import type {
  CornerPage,
  Driven,
  Edge,
  KerbUse,
  Limiting,
  MarkReference,
  PhaseLimits,
  TraceCorner,
} from '../api/types';

const AT_THE_MARK_M = 2.5;

/**
 * A point told by its mark, in the driver's units.
 *
 * @param lengthText writes metres with their unit
 */
export function markWords(reference: MarkReference, lengthText: (m: number) => string): string {
  const { thing } = reference;
  if (reference.own) return reference.own;
  if (reference.weak) return reference.text;
  if (Math.abs(reference.offset_m) < AT_THE_MARK_M) {
    return reference.near ?? `${reference.side === 'over' ? 'under' : 'at'} ${thing}`;
  }
  const side = reference.offset_m > 0 ? 'past' : 'before';
  return `${lengthText(Math.abs(reference.offset_m))} ${side} ${thing}`;
}

/** What to beware of at a mark; revisions of an early day have words alone. */
export const cautionWords = ({ cautions = [], cautionsSaid }: MarkReference) =>
  (cautionsSaid?.map(say) ?? cautions).join('; ');

const HALVES = ['', '½', '1', '1½', '2', '2½', '3'];

/** A short distance in car lengths, to the half; empty where metres say it better. */
export function carLengths(metres: number, carLengthM: number): string {
  const halves = Math.round((2 * Math.abs(metres)) / carLengthM);
  if (!(carLengthM > 0) || halves < 1 || halves >= HALVES.length) return '';
  return `about ${HALVES[halves]} car ${halves <= 2 ? 'length' : 'lengths'}`;
}

const RULES: Record<string, string> = {
  'one-wheel-inside-line': 'one wheel stays inside the line',
  'two-wheels-inside-line': 'two wheels stay inside the line',
  'kerb-counts-as-track': 'the kerb counts as track',
  free: 'no limit but the ground',
};

/** What the track limits say in a corner. */
export const ruleWords = (rule: string) => RULES[rule] ?? rule;

/** What lies beyond the line at a place and how far the rule lets the car out there. */
export function edgeWords(edge: Edge, acrossText: (m: number) => string): string {
  const kerb = edge.kerb
    ? `${edge.kerb} kerb, ${Math.round(edge.kerbHeight_mm ?? 0)} mm`
    : 'no kerb';
  const allowed =
    edge.allowed_m === undefined
      ? 'no bound but the ground'
      : `${acrossText(edge.allowed_m)} at most`;
  return `${kerb}; ${allowed}`;
}

/**
 * Whether the corner is braked for in the bend, after turning in: then it is read in that order.
 *
 * @param ahead way from one station to another [m], negative where that lies behind
 */
export function turnsInFirst(
  { brake, turnIn }: Pick<CornerPage, 'brake' | 'turnIn'>,
  ahead: (from: number, to: number) => number,
): boolean {
  return brake.at_m !== undefined && ahead(turnIn.at_m, brake.at_m) > 0.5;
}

/** What the brake foot does first. */
export const BRAKE_STYLE: Record<CornerPage['brake']['style'], string> = {
  hard: 'hard at once',
  squeeze: 'squeezed on',
  dab: 'a dab',
  lift: 'no brake: lift',
  none: 'no brake, flat',
};

export const KERB_USE: Record<KerbUse, string> = {
  none: 'leave it',
  touch: 'touch it',
  tyre: 'one tyre',
  'half-car': 'half the car',
  full: 'the whole car',
};

/** The gears between, "5 · 4 · 3"; empty where nothing is skipped or changed. */
export function gearsBetween({
  approach,
  corner,
}: Pick<CornerPage['gears'], 'approach' | 'corner'>): string {
  const count = Math.max(0, approach - corner - 1);
  return Array.from({ length: count }, (_, i) => approach - 1 - i).join(' · ');
}

/** "right, 118°, hairpin, 4 % downhill". */
export function describe(corner: TraceCorner, lengthText: (m: number) => string): string {
  const parts = [
    `${corner.direction.toLowerCase()} ${Math.round(Math.abs(corner.angleDeg))}°`,
    corner.kind.toLowerCase().replaceAll('_', ' '),
    `tightest ${lengthText(corner.tightestRadiusM)}`,
  ];
  if (Math.abs(corner.gradePct) >= 1) {
    parts.push(
      `${Math.abs(corner.gradePct).toFixed(0)} % ${corner.gradePct > 0 ? 'uphill' : 'downhill'}`,
    );
  }
  // Banking comes in the corner's own sense: positive helps.
  if (Math.abs(corner.bankingDeg) >= 0.8) {
    const kind = corner.bankingDeg > 0 ? 'banked' : 'off-camber';
    parts.push(`${kind} ${Math.abs(corner.bankingDeg).toFixed(0)}°`);
  }
  return parts.join(' · ');
}

/** Letters and words of the ways through a corner. */
export const SCHOOLS: Record<School, { letters: string; name: string; words: string }> = {
  rounded: { letters: 'Ro', name: 'Rounded', words: 'carries speed on the widest bend' },
  'late-apex': { letters: 'La', name: 'Late apex', words: 'waits outside, straightens the exit' },
  v: { letters: 'V', name: 'V-shaped', words: 'deep in, turned once, straight out' },
  tight: { letters: 'Ti', name: 'Tight', words: 'the shortest way round' },
  'double-apex': { letters: 'Do', name: 'Double apex', words: 'meets the inside twice' },
  defend: { letters: 'De', name: 'Defend', words: 'inside on the way in' },
  fastest: { letters: 'Fa', name: 'Fastest', words: 'least time' },
};

/** Farther off the road than this nobody counts the metres. */
const FAR_M = 10;

/**
 * Whether a page is made and what it asks of the tyres.
 *
 * @param pastTurnIn writes a station as metres past the turn-in
 */
export function drivenWords(
  driven: Driven,
  acrossText: (m: number) => string,
  pastTurnIn: (station: number) => string,
): string {
  const grip = `${Math.round(100 * driven.gripNeeded)} % of the tyres' grip, ${pastTurnIn(driven.gripAt_m)}`;
  if (!driven.made) {
    const off = pastTurnIn(driven.beyondAt_m ?? driven.gripAt_m);
    const far =
      driven.beyond_m > FAR_M ? `more than ${acrossText(FAR_M)}` : acrossText(driven.beyond_m);
    return `Not made: leaves the road ${off}, by ${far}; asks for ${grip}`;
  }
  const parts = [`Made, with ${grip}`];
  if (driven.wideAt_m !== undefined && driven.wide_m >= 0.1) {
    parts.push(`${acrossText(driven.wide_m)} wide of its line`);
  }
  if (driven.brakeFound_m !== undefined) {
    parts.push(`the brakes begin ${pastTurnIn(driven.brakeFound_m)} for the same apex speed`);
  }
  if (driven.locked_m >= 1) parts.push('a wheel locks');
  if (driven.spun_m >= 1) parts.push('a wheel spins');
  return parts.join('; ');
}

const IN_THE_BEND: Record<Limiting, string> = {
  front: 'the front pushes first',
  rear: 'the rear comes round first',
  both: 'both axles together',
  'wheel-lifts': 'a wheel lifts',
  engine: 'the engine',
  brakes: 'the brakes',
  tyres: 'the tyres',
};

const STRAIGHT_ON: Partial<Record<Limiting, string>> = {
  front: 'the front locks first',
  rear: 'the rear locks first',
  'wheel-lifts': 'the rear wheels lift',
};

/** What is the limit in each phase of a corner: "braking, the rear locks first; …". */
export function limitWords({ braking, entry, exit }: PhaseLimits): string {
  const inAndOut =
    entry && entry === exit
      ? [`on the way in and out, ${IN_THE_BEND[entry]}`]
      : [
          entry && `on the way in, ${IN_THE_BEND[entry]}`,
          exit && `on the way out, ${IN_THE_BEND[exit]}`,
        ];
  return [braking && `braking, ${STRAIGHT_ON[braking] ?? IN_THE_BEND[braking]}`, ...inAndOut]
    .filter(Boolean)
    .join('; ');
}
