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

/** A value in m, m/s or plain as the driver's figure. */
export function figureOf(typed: Typed, si: number, units: Units): number {
  return typed === 'way'
    ? lengthIn(si, units.length)
    : typed === 'speed'
      ? speedIn(si, units.speed)
      : si;
}

/** A driver's figure in m, m/s or plain. */
export function siOf(typed: Typed, figure: number, units: Units): number {
  return typed === 'way'
    ? lengthFrom(figure, units.length)
    : typed === 'speed'
      ? speedFrom(figure, units.speed)
      : figure;
}

/** Beyond it no value is meant: half a kilometre of way, the speeds of cars, a gear or a share. */
const BOUNDS: Record<Typed, readonly [number, number]> = {
  way: [-500, 500],
  speed: [1, 140],
  plain: [0, 100],
};

/** What a driver's figure has to lie within, in his unit, whole. */
export function boundsOf(typed: Typed, units: Units): { min: number; max: number } {
  const [min, max] = BOUNDS[typed].map((si) => Math.round(figureOf(typed, si, units)));
  return { min, max };
}
