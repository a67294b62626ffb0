import {
  lengthFrom,
  lengthIn,
  speedFrom,
  speedIn,
  type LengthUnit,
  type SpeedUnit,
} from './format';

/** How a value is typed: a way along the road from its old place, a speed, or a plain figure. */
export type Typed = 'way' | 'speed' | 'plain';

/** How a field of a page is typed, by its name in the book format. */
export function typedAs(field: string | null | undefined): Typed {
  if (field?.endsWith('_m')) return 'way';
  return field === 'apexes.speed_mps' ? 'speed' : 'plain';
}

interface Units {
  length: LengthUnit;
  speed: SpeedUnit;
}

/** The unit behind the figure; empty for a plain one. */
export function unitOf(typed: Typed, units: Units): string {
  return typed === 'way' ? units.length : typed === 'speed' ? units.speed : '';
}

/** A value in m, m/s or plain as the driver's figure, whole. */
export function figureOf(typed: Typed, si: number, units: Units): string {
  const figure =
    typed === 'way'
      ? lengthIn(si, units.length)
      : typed === 'speed'
        ? speedIn(si, units.speed)
        : si;
  return String(Math.round(figure));
}

/** A driver's figure in m, m/s or plain; undefined if it is no number. A decimal comma will do. */
export function siOf(typed: Typed, text: string, units: Units): number | undefined {
  const figure = Number(text.replace(',', '.').replace('−', '-'));
  if (text.trim() === '' || !Number.isFinite(figure)) return undefined;
  return typed === 'way'
    ? lengthFrom(figure, units.length)
    : typed === 'speed'
      ? speedFrom(figure, units.speed)
      : figure;
}
