import type { CarOfLaps, CarValue } from '../api/laps';

/** What is measured, in words, with its unit and how finely it is told. */
const WORDS: Record<CarValue['kind'], { name: string; unit: string; decimals: number }> = {
  power: { name: 'Power', unit: '% of the book’s', decimals: 1 },
  'drag-area': { name: 'Drag area', unit: 'm²', decimals: 3 },
  'engine-braking': { name: 'Engine braking', unit: 'N·m', decimals: 0 },
  'gear-ratio': { name: 'Gear', unit: '', decimals: 3 },
  upshift: { name: 'Change up', unit: 's', decimals: 2 },
  'grip-across': { name: 'Tyres, sideways', unit: '', decimals: 3 },
  'grip-along': { name: 'Tyres, braking', unit: '', decimals: 3 },
  'downforce-area': { name: 'Downforce area', unit: 'm²', decimals: 3 },
};

/** One line of the car. */
export interface CarLine {
  key: string;
  name: string;
  unit: string;
  book: string;
  laps: string;
  /** Within twice its standard error. */
  within: string;
  value: CarValue;
}

export const keyOf = (v: CarValue) => `${v.kind} ${v.gear}`;

export function lineOf(value: CarValue): CarLine {
  const { name, unit, decimals } = WORDS[value.kind];
  const times = value.kind === 'power' ? 100 : 1;
  const text = (figure: number) => (times * figure).toFixed(decimals);
  return {
    key: keyOf(value),
    name: value.gear ? `${name} ${value.gear}` : name,
    unit,
    book: text(value.before),
    laps: text(value.after),
    within: text(2 * value.error),
    value,
  };
}

/** The numbers of the car's file that chosen values change, those of sheet and scales under them. */
export function changesOf(car: CarOfLaps, chosen: Set<string>): Record<string, number> {
  const values = car.values.filter((v) => chosen.has(keyOf(v))).map((v) => v.changes);
  return Object.assign({}, car.of_sheet, car.weighed, ...values);
}

/** What is another value than the book's beyond doubt. */
export const differing = (car: CarOfLaps) =>
  new Set(car.values.filter((v) => v.differs).map(keyOf));
