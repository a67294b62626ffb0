import type { OwnField, Phase, Press } from '../api/types';

/** What the feet do in a corner, as the page or the draft has it. */
export interface PedalWork {
  presses: Press[];
  phases: Phase[];
}

/** Points and pressures that presses and phases tell themselves. */
const POINTS: Record<'presses' | 'phases', OwnField[]> = {
  presses: ['brake.at_m', 'brake.initial_pct', 'trailBrake.release_m', 'trailBrake.atTurnIn_pct'],
  phases: ['throttle.first_m', 'throttle.full_m'],
};

/** Own values of a list of knots: points and pressures are those of the knots from now on. */
export const ownWork = (list: 'presses' | 'phases', value: unknown[]) => ({
  ...Object.fromEntries(POINTS[list].map((field) => [field, undefined])),
  [list]: value,
});

/** A knot of a pedal's trace that can be taken hold of. */
export interface WorkKnot {
  list: 'presses' | 'phases';
  /** Place in its list, and what of the entry it is: `on`, `off`, `at`, `until` or a knot's place. */
  entry: number;
  part: 'on' | 'off' | 'at' | 'until' | number;
  name: string;
  station: number;
  pct: number;
  /** Whether its amount can be changed; where a pedal is off it is none. */
  amount: boolean;
}

const PHASES: Record<Phase['kind'], string> = {
  lift: 'lift',
  hold: 'held throttle',
  first: 'first throttle',
  step: 'step of the throttle',
  flat: 'flat',
};

/** All knots in driving order. */
export function knotsOf(work: PedalWork): WorkKnot[] {
  const several = work.presses.length > 1;
  return [
    ...work.presses.flatMap((press, entry): WorkKnot[] => {
      const list = 'presses' as const;
      const of = several ? `press ${entry + 1}` : 'press';
      return [
        {
          list,
          entry,
          part: 'on',
          name: `begin of the ${of}`,
          station: press.on_m,
          pct: press.peak_pct,
          amount: true,
        },
        ...press.knots.map((knot, part) => ({
          list,
          entry,
          part,
          name: `pressure ${part + 1} of the ${of}`,
          station: knot.at_m,
          pct: knot.pct,
          amount: true,
        })),
        {
          list,
          entry,
          part: 'off',
          name: `end of the ${of}`,
          station: press.off_m,
          pct: 0,
          amount: false,
        },
      ];
    }),
    ...work.phases.flatMap((phase, entry): WorkKnot[] => {
      const list = 'phases' as const;
      const name = PHASES[phase.kind];
      const at: WorkKnot = {
        list,
        entry,
        part: 'at',
        name,
        station: phase.at_m,
        pct: phase.kind === 'lift' ? 100 : phase.to_pct,
        amount: phase.kind !== 'flat' && phase.kind !== 'lift',
      };
      return phase.until_m === undefined
        ? [at]
        : [
            at,
            {
              list,
              entry,
              part: 'until',
              name: phase.kind === 'lift' ? 'depth of the lift' : 'end of the held throttle',
              station: phase.until_m,
              pct: phase.to_pct,
              amount: true,
            },
          ];
    }),
  ];
}

/** The list of a knot with the knot elsewhere. */
export function moved(work: PedalWork, knot: WorkKnot, station: number, pct: number) {
  if (knot.list === 'presses') {
    return work.presses.map((press, i) =>
      i === knot.entry ? pressMoved(press, knot, station, pct) : press,
    );
  }
  return work.phases.map((phase, i) =>
    i === knot.entry ? phaseMoved(phase, knot, station, pct) : phase,
  );
}

function pressMoved(press: Press, { part }: WorkKnot, station: number, pct: number): Press {
  if (part === 'on') return { ...press, on_m: station, peak_pct: Math.max(1, pct) };
  if (part === 'off') return { ...press, off_m: station };
  const knots = press.knots.map((k, i) => (i === part ? { at_m: station, pct } : k));
  return { ...press, knots };
}

function phaseMoved(phase: Phase, { part }: WorkKnot, station: number, pct: number): Phase {
  const to_pct = phase.kind === 'flat' ? phase.to_pct : pct;
  if (part === 'until') return { ...phase, until_m: station, to_pct };
  return phase.kind === 'lift' ? { ...phase, at_m: station } : { ...phase, at_m: station, to_pct };
}

/** The list of a knot without it; without its first knot a press or a phase goes as a whole. */
export function without(work: PedalWork, knot: WorkKnot) {
  if (knot.list === 'phases') return work.phases.filter((_, i) => i !== knot.entry);
  if (typeof knot.part !== 'number') return work.presses.filter((_, i) => i !== knot.entry);
  return work.presses.map((press, i) =>
    i === knot.entry ? { ...press, knots: press.knots.filter((_, k) => k !== knot.part) } : press,
  );
}
