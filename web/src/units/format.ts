/** Units at the edge: everything inside is SI. */

export type SpeedUnit = 'km/h' | 'mph';
export type LengthUnit = 'm' | 'yd' | 'ft';

/** 1 mile = 1609.344 m, 1 yd = 0.9144 m, 1 ft = 0.3048 m (NIST SP 811, appendix B.8). */
const MPS_PER: Record<SpeedUnit, number> = { 'km/h': 1 / 3.6, mph: 1609.344 / 3600 };
const M_PER: Record<LengthUnit, number> = { m: 1, yd: 0.9144, ft: 0.3048 };

export const speedIn = (mps: number, unit: SpeedUnit) => mps / MPS_PER[unit];
export const speedFrom = (value: number, unit: SpeedUnit) => value * MPS_PER[unit];
export const lengthIn = (metres: number, unit: LengthUnit) => metres / M_PER[unit];
export const lengthFrom = (value: number, unit: LengthUnit) => value * M_PER[unit];

/** Lap time as m:ss.mmm; corner times below a minute as s.mm. */
export function lapTime(seconds: number): string {
  const ms = Math.round(seconds * 1000);
  const minutes = Math.floor(ms / 60000);
  const rest = ((ms % 60000) / 1000).toFixed(3).padStart(6, '0');
  return `${minutes}:${rest}`;
}

/** A difference in seconds with its sign and word, so that colour is never the only code. */
export function gain(seconds: number): string {
  const rounded = Math.round(seconds * 100) / 100;
  if (rounded === 0) return '0.00 s, the same';
  return rounded > 0 ? `+${rounded.toFixed(2)} s, slower` : `−${(-rounded).toFixed(2)} s, faster`;
}

/** The same in a sentence: "0.04 s slower than the page", "as fast as the page". */
export function gainOver(seconds: number, other: string): string {
  const rounded = Math.round(seconds * 100) / 100;
  if (rounded === 0) return `as fast as ${other}`;
  return `${Math.abs(rounded).toFixed(2)} s ${rounded > 0 ? 'slower' : 'faster'} than ${other}`;
}

/** Today as the clock of this place has it, as a date field takes it. */
export function today(now = new Date()): string {
  const two = (n: number) => String(n).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

/** A whole number with a true minus sign. */
export function whole(value: number): string {
  const rounded = Math.round(value);
  return rounded < 0 ? `−${-rounded}` : String(rounded);
}
