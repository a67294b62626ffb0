import type { CarDocument } from '../api/answers';

/** A value of a car's file that can be changed. */
export interface CarValue {
  /** RFC 6901. */
  pointer: string;
  name: string;
  unit: string;
  decimals: number;
  value: number;
}

const NAMES: Record<string, [name: string, unit: string, decimals: number]> = {
  '/mass_kg': ['Mass without driver and fuel', 'kg', 0],
  '/driver_kg': ['Driver', 'kg', 1],
  '/wheelbase_m': ['Wheelbase', 'm', 3],
  '/cgHeight_m': ['Centre of gravity above the road', 'm', 3],
  '/frontWeightShare': ['Weight on the front, share', '', 3],
  '/bodyWidth_m': ['Width of the body', 'm', 2],
  '/length_m': ['Length', 'm', 2],
  '/engine/idle_rpm': ['Idle speed', 'rpm', 0],
  '/engine/limiter_rpm': ['Limiter', 'rpm', 0],
  '/gearbox/finalDrive': ['Final drive', '', 3],
  '/gearbox/downshift_s': ['Time of a change down', 's', 2],
  '/gearbox/upshift_s': ['Time of a change up', 's', 2],
  '/gearbox/efficiency': ['What reaches the wheels, share', '', 3],
  '/tyre/muLateral': ['Grip sideways', 'g', 2],
  '/tyre/muLongitudinal': ['Grip lengthwise', 'g', 2],
  '/tyre/radius_m': ['Radius of the tyre', 'm', 3],
  '/tyre/referenceLoad_n': ['Load of a wheel at that grip', 'N', 0],
  '/tyre/loadSensitivity': ['Grip lost at twice that load, share', '', 3],
  '/brakes/maxForce_n': ['Brakes at most', 'N', 0],
  '/brakes/frontShare': ['Brakes on the front, share', '', 3],
  '/aero/cdA_m2': ['Drag area', 'm²', 3],
  '/aero/clA_m2': ['Downforce area', 'm²', 3],
  '/aero/frontShare': ['Downforce on the front, share', '', 3],
  '/rollingResistance': ['Rolling resistance', '', 4],
};

/** The value at a pointer. */
function valueAt(car: CarDocument, pointer: string): unknown {
  return pointer
    .slice(1)
    .split('/')
    .reduce<unknown>((node, key) => (node as Record<string, unknown> | undefined)?.[key], car);
}

/** What stands at a pointer as values to be changed: a list gives one for each entry. */
export function valuesAt(car: CarDocument, pointer: string): CarValue[] {
  if (pointer === '/gearbox/ratios') {
    return car.gearbox.ratios.map((value, i) => ({
      pointer: `${pointer}/${i}`,
      name: `Ratio of gear ${i + 1}`,
      unit: '',
      decimals: 3,
      value,
    }));
  }
  if (pointer === '/engine/torqueCurve') {
    return car.engine.torqueCurve.map(([rpm, value], i) => ({
      pointer: `${pointer}/${i}/1`,
      name: `Torque at ${Math.round(rpm)} rpm`,
      unit: 'N·m',
      decimals: 0,
      value,
    }));
  }
  const known = NAMES[pointer];
  const value = valueAt(car, pointer);
  if (!known || typeof value !== 'number') return [];
  const [name, unit, decimals] = known;
  return [{ pointer, name, unit, decimals, value }];
}

/** Values that belong together. */
export interface ValueGroup {
  name: string;
  values: CarValue[];
}

const GROUPS: readonly [string, readonly string[]][] = [
  [
    'Mass and size',
    [
      '/mass_kg',
      '/driver_kg',
      '/frontWeightShare',
      '/wheelbase_m',
      '/cgHeight_m',
      '/bodyWidth_m',
      '/length_m',
    ],
  ],
  ['Engine', ['/engine/idle_rpm', '/engine/limiter_rpm', '/engine/torqueCurve']],
  [
    'Gearbox',
    [
      '/gearbox/ratios',
      '/gearbox/finalDrive',
      '/gearbox/upshift_s',
      '/gearbox/downshift_s',
      '/gearbox/efficiency',
    ],
  ],
  [
    'Tyres and brakes',
    [
      '/tyre/muLateral',
      '/tyre/muLongitudinal',
      '/tyre/referenceLoad_n',
      '/tyre/loadSensitivity',
      '/tyre/radius_m',
      '/brakes/maxForce_n',
      '/brakes/frontShare',
    ],
  ],
  ['Air', ['/aero/cdA_m2', '/aero/clA_m2', '/aero/frontShare', '/rollingResistance']],
];

/** Every value of a car that does something to the lap. */
export const allValues = (car: CarDocument): ValueGroup[] =>
  GROUPS.map(([name, pointers]) => ({
    name,
    values: pointers.flatMap((pointer) => valuesAt(car, pointer)),
  }));
