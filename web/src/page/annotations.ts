import type {
  By,
  Conditions,
  CornerPage,
  Gate,
  MarkReference,
  OwnField,
  PagePoint,
  PointNote,
  Trace,
  Variant,
  Variants,
} from '../api/types';
import { between, onLap } from '../strip/lap-axis';
import { FIELDS, rowOf, type FieldWriter } from './fields';
import { KERB_USE } from './words';

/** Points of a corner as they are called. */
export const POINTS: Record<PagePoint, string> = {
  brake: 'brake',
  lift: 'lift',
  look: 'where to look',
  'turn-in': 'turn in',
  'gear-down': 'change down',
  release: 'off the brake',
  apex: 'apex',
  throttle: 'throttle',
  'gear-up': 'change up',
  flat: 'flat',
  exit: 'exit',
};

export const BY: Record<By, string> = {
  beside: 'beside it',
  'leaves-sight': 'as it leaves sight',
  aim: 'driving towards it',
};

export const NOTE_KINDS: Record<PointNote['kind'], string> = {
  danger: 'danger',
  'way-out': 'way out',
  rule: 'rule',
  surface: 'surface',
  sight: 'sight',
  feel: 'feel',
};

export const SEVERITIES: Record<number, string> = { 1: 'to know', 2: 'to mind', 3: 'to fear' };

export const GATE_KINDS: Record<Gate['kind'], string> = {
  here: 'be there',
  'no-farther-left': 'no farther left',
  'no-farther-right': 'no farther right',
  straight: 'car straight',
};

export type OwnDay = keyof Variants;

/** Kinds of day, and when what is written for them holds. */
export const OWN_DAYS: Record<OwnDay, string> = {
  cold: 'laps 1 to 3',
  damp: 'damp',
  wet: 'wet',
  worn: 'worn tyres',
  heavy: 'heavy fuel',
};

/** Station of a point on a page; undefined where the page has none. */
export function pointStation(page: CornerPage, point: PagePoint): number | undefined {
  const changes = page.gears.changes ?? [];
  const first = (down: boolean) =>
    changes.find((change, i) => {
      const before = i ? changes[i - 1].to : page.gears.approach;
      return change.to < before === down;
    })?.at_m;
  switch (point) {
    case 'brake':
      return page.brake.at_m;
    case 'lift':
      return page.lift?.at_m;
    case 'look':
      return page.look?.at_m;
    case 'turn-in':
      return page.turnIn.at_m;
    case 'gear-down':
      return first(true);
    case 'release':
      return page.trailBrake?.release_m;
    case 'apex':
      return page.apexes[0].at_m;
    case 'throttle':
      return page.throttle.first_m;
    case 'gear-up':
      return first(false);
    case 'flat':
      return page.throttle.full_m;
    case 'exit':
      return page.exit.trackOut_m;
  }
}

/** Points that a page has, in driving order. */
export const pointsOf = (page: CornerPage) =>
  (Object.keys(POINTS) as PagePoint[]).filter((point) => pointStation(page, point) !== undefined);

/** Whether a note is to be at hand when it is needed: whatever can hurt, or is to be minded. */
export const travels = (note: PointNote) => note.kind === 'danger' || note.severity > 1;

/** A note where it travels to: "danger, exit: wall close to the line". */
export const noteWords = ({ kind, point, text }: PointNote) =>
  `${NOTE_KINDS[kind]}, ${POINTS[point]}: ${text}`;

/** Notes that travel, as the page has them: danger first. */
export const warningsOf = (page: CornerPage) =>
  (page.pointNotes ?? []).filter(travels).map(noteWords);

/** A mark that is not told by the way from beside it, whole; the rest keeps its figure. */
export const seenWords = (mark: MarkReference) => (mark.by ? mark.text : undefined);

type Lap = Pick<Trace, 'length_m' | 'closed'>;

const PLACES = [
  ['brake.at_m', 'brake'],
  ['turnIn.at_m', 'turn in'],
  ['throttle.first_m', 'throttle'],
  ['throttle.full_m', 'flat'],
] as const;

/** What a driver does on such a day: "brake 8 m earlier, gear 2, no exit kerb". */
export function variantWords(
  page: CornerPage,
  values: Variant,
  lap: Lap,
  writer: FieldWriter,
): string {
  const words: string[] = [];
  for (const [field, what] of PLACES) {
    const then = values[field];
    if (then === undefined) continue;
    const now = placeOf(page, field);
    if (now === undefined) words.push(`${what} at ${writer.length(then)}`);
    else {
      const way = between(lap, now, then);
      if (Math.abs(way) < 0.5) continue;
      words.push(`${what} ${writer.length(Math.abs(way))} ${way < 0 ? 'earlier' : 'later'}`);
    }
  }
  const { 'brake.initial_pct': pct, 'gears.corner': gear, 'apexes.speed_mps': speed } = values;
  if (pct !== undefined) words.push(`${Math.round(pct)} % at first`);
  if (gear !== undefined) words.push(`gear ${gear}`);
  if (speed !== undefined) words.push(`${writer.speed(speed)} at the slowest`);
  for (const kerb of ['apex', 'exit'] as const) {
    const use = values[`kerbs.${kerb}`];
    if (use) words.push(use === 'none' ? `no ${kerb} kerb` : `${kerb} kerb: ${KERB_USE[use]}`);
  }
  return words.join(', ');
}

/** Where the page has a place that can be another day's. */
export function placeOf(page: CornerPage, field: OwnField): number | undefined {
  switch (field) {
    case 'brake.at_m':
      return page.brake.at_m;
    case 'turnIn.at_m':
      return page.turnIn.at_m;
    case 'throttle.first_m':
      return page.throttle.first_m;
    case 'throttle.full_m':
      return page.throttle.full_m;
    default:
      return undefined;
  }
}

/** Days of which the page says something, in their order. */
export const daysOf = (page: CornerPage) =>
  (Object.keys(OWN_DAYS) as OwnDay[]).filter((day) => page.variants?.[day]);

type Weather = Pick<Conditions, 'surface' | 'tyres' | 'fuel_kg'>;

/** So much more fuel is heavy [kg]; as the card has it. */
const HEAVIER_KG = 10;

/** Whether what is written for a kind of day is told: cold tyres always, the rest as the day is. */
export function isTold(kind: OwnDay, day: Weather, book: Weather): boolean {
  switch (kind) {
    case 'cold':
      return true;
    case 'damp':
    case 'wet':
      return day.surface === kind && book.surface !== kind;
    case 'worn':
      return day.tyres === 'worn' && book.tyres !== 'worn';
    case 'heavy':
      return (day.fuel_kg ?? 0) > (book.fuel_kg ?? 0) + HEAVIER_KG;
  }
}

/** What a page says of the days that are told: "laps 1 to 3: gear 2"; not what is bolder than it. */
export const toldDays = (
  page: CornerPage,
  lap: Lap,
  writer: FieldWriter,
  day: Weather,
  book: Weather,
): string[] =>
  daysOf(page)
    .filter((kind) => isTold(kind, day, book))
    .flatMap((kind) => {
      const words = variantWords(page, toldOf(page, kind), lap, writer);
      return words ? [`${OWN_DAYS[kind]}: ${words}`] : [];
    });

/** What is told of a day: all but what asks more than the page itself. */
function toldOf(page: CornerPage, kind: OwnDay): Variant {
  const bolder: Variant = page.variantsBolder?.[kind] ?? {};
  return Object.fromEntries(
    Object.entries(page.variants![kind]!).filter(([field]) => !(field in bolder)),
  );
}

/** What asks more than the page itself, in words; empty without any. */
export const bolderWords = (page: CornerPage, kind: OwnDay, lap: Lap, writer: FieldWriter) =>
  variantWords(page, page.variantsBolder?.[kind] ?? {}, lap, writer);

/** Days of a page with their values, as they are compared: places by their stations. */
const daysText = (page: CornerPage, writer: FieldWriter): string =>
  daysOf(page)
    .map((day) => {
      const values = Object.entries(page.variants![day]!).map(([field, value]) => {
        const { kind } = FIELDS[field as OwnField];
        const text =
          typeof value !== 'number'
            ? value
            : kind === 'station'
              ? writer.length(value)
              : kind === 'speed'
                ? writer.speed(value)
                : String(value);
        return `${rowOf(field as OwnField)} ${text}`;
      });
      return `${OWN_DAYS[day]}: ${values.join(', ')}`;
    })
    .join('; ');

/** What hangs on the points of a page as it is compared; undefined for any other field. */
export function annotationText(
  page: CornerPage,
  path: OwnField,
  writer: FieldWriter,
): string | undefined {
  switch (path) {
    case 'at':
      return (page.at ?? [])
        .map(({ point, mark, words, phrase }) =>
          [POINTS[point], words ?? mark, phrase && `“${phrase}”`].filter(Boolean).join(' '),
        )
        .join('; ');
    case 'gates':
      return (page.gates ?? [])
        .map(({ at_m, place }) => `${writer.length(at_m)}: ${place}`)
        .join('; ');
    case 'pointNotes':
      return (page.pointNotes ?? []).map(noteWords).join('; ');
    case 'variants':
      return daysText(page, writer);
    default:
      return undefined;
  }
}

/** A value of a day put in the place of what was there; undefined takes it out. */
export function withVariant(
  variants: Variants | undefined,
  day: OwnDay,
  field: keyof Variant,
  value: number | string | undefined,
): Variants | undefined {
  const values: Variant = { ...variants?.[day] };
  if (value === undefined) delete values[field];
  else Object.assign(values, { [field]: value });
  const next: Variants = { ...variants };
  if (Object.keys(values).length) next[day] = values;
  else delete next[day];
  return Object.keys(next).length ? next : undefined;
}

/** A place so many metres earlier than another, on the lap. */
export const earlier = (lap: Lap, station: number, metres: number) =>
  Math.round(10 * onLap(lap, station - metres)) / 10;
