import type { Phase, Press } from '../api/types';
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

const whole = (pct: number) => `${Math.round(pct)} %`;
