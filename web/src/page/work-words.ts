import type { CornerPage, Feet, GearChange, Phase, Press } from '../api/types';
import type { PedalWork } from '../strip/knots';

type Place = (station: number) => string;

/**
 * What both feet do, in words.
 *
 * @param place writes a station: "12 m before" the apex
 */
export function workWords(work: PedalWork, place: Place): Record<'presses' | 'phases', string> {
  return {
    presses: work.presses.map((press) => pressWords(press, place)).join('; then '),
    phases: work.phases.map((phase) => phaseWords(phase, place)).join(', '),
  };
}

function pressWords(press: Press, place: Place): string {
  const falls = press.knots.map(({ at_m, pct }) => `${whole(pct)} ${place(at_m)}`);
  const parts = [`${whole(press.peak_pct)} from ${place(press.on_m)}`, ...falls];
  return `${parts.join(', ')}, off ${place(press.off_m)}`;
}

function phaseWords({ kind, at_m, to_pct, until_m }: Phase, place: Place): string {
  switch (kind) {
    case 'lift':
      return `lift to ${whole(to_pct)} ${place(at_m)}`;
    case 'hold':
      return `hold ${whole(to_pct)}${until_m === undefined ? '' : ` until ${place(until_m)}`}`;
    case 'flat':
      return `flat ${place(at_m)}`;
    default:
      return `${whole(to_pct)} ${place(at_m)}`;
  }
}

/** A gear of one's own: the changes are the model's again, or it would be said twice. */
export const ownGear = (field: 'gears.in' | 'gears.corner' | 'gears.out', gear?: number) => ({
  [field]: gear,
  'gears.changes': undefined,
});

/** Changes of one's own: the gears beside them follow. */
export const ownChanges = (changes: GearChange[]) => ({
  'gears.in': undefined,
  'gears.corner': undefined,
  'gears.out': undefined,
  'gears.changes': changes.map(({ at_m, to }) => ({ at_m, to })),
});

/** Which foot brakes, in words. */
export const FEET: Record<Feet, string> = {
  left: 'left foot',
  right: 'right foot',
  cover: 'right foot, covered before',
  'heel-and-toe': 'heel and toe',
};

const CHANGES: Record<NonNullable<GearChange['kind']>, string> = {
  down: '',
  rotation: ', to turn in',
  up: '',
  short: ', short',
  limiter: ', held on the limiter',
};

/** The gears of a corner and where they are changed, in words; a page of old has fewer of them. */
export function gearWords(
  { corner, in: wayIn = corner, out = corner, changes = [] }: CornerPage['gears'],
  place: Place,
) {
  const gears =
    wayIn === corner && out === corner
      ? `${corner} throughout`
      : `${wayIn} in, ${corner} at the apex, ${out} out`;
  return [gears, ...changes.map((change) => changeWords(change, place))].join('; ');
}

const changeWords = ({ at_m, to, kind }: GearChange, place: Place) =>
  `${to} from ${place(at_m)}${kind ? CHANGES[kind] : ''}`;

const whole = (pct: number) => `${Math.round(pct)} %`;
