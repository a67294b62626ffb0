import type { Day, DayShift } from '../api/answers';
import { KERB_USE } from './words';

/** Letters and names of days. */
export const DAYS: Record<Day, { letters: string; name: string }> = {
  dry: { letters: 'Dr', name: 'Dry road' },
  damp: { letters: 'Dp', name: 'Damp road' },
  wet: { letters: 'Wet', name: 'Wet road' },
  drying: { letters: 'Dg', name: 'Drying road' },
  'cold-first-lap': { letters: 'C1', name: 'Cold tyres, lap 1' },
  'cold-second-lap': { letters: 'C2', name: 'Cold tyres, lap 2' },
  'cold-third-lap': { letters: 'C3', name: 'Cold tyres, lap 3' },
  'worn-tyres': { letters: 'Wn', name: 'Worn tyres' },
  'heavy-fuel': { letters: 'Fu', name: 'More fuel' },
  'light-fuel': { letters: 'Em', name: 'Less fuel' },
  'head-wind': { letters: 'Hd', name: 'Wind ahead' },
  'tail-wind': { letters: 'Tl', name: 'Wind behind' },
  'cross-wind': { letters: 'Cr', name: 'Wind across' },
  'high-place': { letters: 'Hi', name: '1000 m higher' },
};

/** Writes lengths and speeds with their units. */
export interface DayWriter {
  length: (m: number) => string;
  speed: (mps: number) => string;
}

/** A corner on another day in the order it is driven; "as in the book" where nothing differs. */
export function shiftWords(shift: DayShift, w: DayWriter): string {
  const parts = [
    brakes(shift, w),
    gears(shift.gearsLower),
    shift.releaseEarlier_m == null
      ? ''
      : moved(shift.releaseEarlier_m, 2, w.length, 'earlier', 'later', ' off the brake'),
    moved(shift.lowestSlower_mps, 0.3, w.speed, 'slower', 'faster', ' at the lowest'),
    shift.throttleLater_m == null
      ? ''
      : moved(shift.throttleLater_m, 1, w.length, 'later', 'earlier', ' on the throttle'),
    shift.apexKerb ? `kerb at the apex: ${KERB_USE[shift.apexKerb]}` : '',
    shift.exitKerb ? `kerb at the exit: ${KERB_USE[shift.exitKerb]}` : '',
  ];
  return parts.filter((part) => part !== '').join(', ') || 'as in the book';
}

function brakes(shift: DayShift, w: DayWriter): string {
  if (shift.begins) return 'now with brakes';
  if (shift.brakeHeld) return 'brake no later, though slower there';
  if (shift.brakeEarlier_m == null) return '';
  const way = moved(shift.brakeEarlier_m, 1, w.length, 'earlier', 'later', '');
  return way && `brake ${way}`;
}

function gears(lower: number): string {
  if (lower === 0) return '';
  const count = Math.abs(lower) === 1 ? 'one gear' : `${Math.abs(lower)} gears`;
  return `${count} ${lower > 0 ? 'lower' : 'higher'}`;
}

/** An amount with its direction; empty below what is worth a word. */
function moved(
  amount: number,
  least: number,
  text: (amount: number) => string,
  plus: string,
  minus: string,
  what: string,
): string {
  if (Math.abs(amount) < least) return '';
  return `${text(Math.abs(amount))} ${amount > 0 ? plus : minus}${what}`;
}
