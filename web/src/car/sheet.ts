import type { CarChange, SetupSheet } from '../api/answers';

/** A number of a setup sheet as it is typed: shown = kept × factor. */
export interface SheetField {
  key: Exclude<keyof SetupSheet, 'name' | 'date' | 'tyres' | 'notes'>;
  label: string;
  unit: string;
  factor: number;
  /** Bounds as it is typed; the server holds the same ones. */
  min: number;
  max: number;
  /** Whether the model computes with it. */
  computed: boolean;
}

/** All numbers of a sheet, those that the model computes with first. */
export const SHEET_FIELDS: SheetField[] = [
  {
    key: 'brakeFrontShare',
    label: 'Brakes, front',
    unit: '%',
    factor: 100,
    min: 20,
    max: 95,
    computed: true,
  },
  {
    key: 'finalDrive',
    label: 'Final drive',
    unit: '',
    factor: 1,
    min: 0.1,
    max: 50,
    computed: true,
  },
  {
    key: 'clA_m2',
    label: 'Downforce area',
    unit: 'm²',
    factor: 1,
    min: 0,
    max: 20,
    computed: true,
  },
  { key: 'cdA_m2', label: 'Drag area', unit: 'm²', factor: 1, min: 0.01, max: 10, computed: true },
  {
    key: 'aeroFrontShare',
    label: 'Downforce, front',
    unit: '%',
    factor: 100,
    min: 0,
    max: 100,
    computed: true,
  },
  {
    key: 'gripFactor',
    label: 'Tyre grip, of the car’s',
    unit: '%',
    factor: 100,
    min: 50,
    max: 150,
    computed: true,
  },
  {
    key: 'powerFactor',
    label: 'Engine power, of the car’s',
    unit: '%',
    factor: 100,
    min: 50,
    max: 150,
    computed: true,
  },
  { key: 'fuel_kg', label: 'Fuel', unit: 'kg', factor: 1, min: 0, max: 500, computed: true },
  {
    key: 'pressureFront_kpa',
    label: 'Tyre pressure, front',
    unit: 'kPa',
    factor: 1,
    min: 20,
    max: 500,
    computed: false,
  },
  {
    key: 'pressureRear_kpa',
    label: 'Tyre pressure, rear',
    unit: 'kPa',
    factor: 1,
    min: 20,
    max: 500,
    computed: false,
  },
  {
    key: 'barFront',
    label: 'Bar, front',
    unit: '',
    factor: 1,
    min: -100,
    max: 100,
    computed: false,
  },
  { key: 'barRear', label: 'Bar, rear', unit: '', factor: 1, min: -100, max: 100, computed: false },
  {
    key: 'rideHeightFront_mm',
    label: 'Ride height, front',
    unit: 'mm',
    factor: 1,
    min: 0,
    max: 500,
    computed: false,
  },
  {
    key: 'rideHeightRear_mm',
    label: 'Ride height, rear',
    unit: 'mm',
    factor: 1,
    min: 0,
    max: 500,
    computed: false,
  },
  { key: 'wing', label: 'Wing setting', unit: '', factor: 1, min: -100, max: 100, computed: false },
];

/** A kept value as it is typed; nothing where nothing is written down. */
export function typed(field: SheetField, sheet: SetupSheet): number | undefined {
  const value = sheet[field.key];
  return value === undefined ? undefined : Math.round(value * field.factor * 1000) / 1000;
}

/** The sheet with one number as it was typed; without it where there is none. */
export function withTyped(
  field: SheetField,
  sheet: SetupSheet,
  value: number | undefined,
): SetupSheet {
  const next = { ...sheet };
  if (value === undefined) delete next[field.key];
  else next[field.key] = value / field.factor;
  return next;
}

/** Words for a difference's field. */
export function fieldWords(field: string): string {
  return SHEET_FIELDS.find((f) => f.key === field)?.label ?? field;
}

/** A sheet in the words and units of its form, by the form's labels. */
export function sheetWords(sheet: SetupSheet): Record<string, string | undefined> {
  const numbers = SHEET_FIELDS.flatMap((field) => {
    const value = typed(field, sheet);
    return value === undefined ? [] : [[field.label, [value, field.unit].join(' ').trim()]];
  });
  return {
    Name: sheet.name,
    Date: sheet.date,
    ...(Object.fromEntries(numbers) as Record<string, string>),
    'Tyres and their laps': sheet.tyres,
    Notes: sheet.notes,
  };
}

/** A difference's value as it is typed, with its unit. */
export function valueWords(field: string, value: string): string {
  if (value === '') return "the car's own";
  const known = SHEET_FIELDS.find((f) => f.key === field);
  if (!known) return value;
  const number = Math.round(Number(value) * known.factor * 1000) / 1000;
  return known.unit ? `${number} ${known.unit}` : String(number);
}

/** What a change of the car is called. */
export const CHANGES: Record<CarChange, string> = {
  MASS_50_KG_MORE: '50 kg more',
  GRIP_5_PCT_LESS: '5 % less grip',
  POWER_5_PCT_LESS: '5 % less power',
  DRAG_10_PCT_MORE: '10 % more drag',
  DOWNFORCE_10_PCT_MORE: '10 % more downforce',
  BRAKE_FORCE_10_PCT_MORE: '10 % more brake force',
  UPSHIFT_TENTH_LONGER: 'changes up 0.1 s longer',
};
