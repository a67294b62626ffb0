import type { QuestionKind, RecallQuestion } from '../api/recall';
import type { CornerPage, KerbUse, Trace } from '../api/types';
import { POINTS } from '../page/annotations';
import { FIELDS, pointAt, TYPED } from '../page/fields';
import { workWords } from '../page/work-words';
import { KERB_USE, markWords } from '../page/words';
import { between } from '../strip/lap-axis';

/** What is asked of a corner. */
export const ASKED: Record<QuestionKind, string> = {
  'brake-mark': 'At which mark do you brake?',
  gear: 'Which gear is it?',
  'turn-in-mark': 'Where do you turn in?',
  release: 'Where is the brake off?',
  kerbs: 'Which kerb, how much of it, and which one not?',
  throttle: 'Where does the throttle come?',
  feet: 'How do your feet go, per cent by per cent?',
  'in-the-wet': 'What is otherwise on a wet road?',
  'way-out': 'The brake mark is missed. What now?',
  'own-points': 'Where are the points that you set yourself?',
};

type Lap = Pick<Trace, 'length_m' | 'closed'>;

/**
 * What the page answers, in the driver's units.
 *
 * @param inTheWet what a wet road does to the corner, in words
 */
export function answerWords(
  kind: QuestionKind,
  page: CornerPage,
  lap: Lap,
  length: (m: number) => string,
  inTheWet = '–',
): string {
  const fromApex = (station: number) => {
    const by = between(lap, page.apexes[0].at_m, station);
    return `${length(Math.abs(by))} ${by < 0 ? 'before' : 'past'} the apex`;
  };
  switch (kind) {
    case 'brake-mark':
      return page.brake.target ? markWords(page.brake.target, length) : 'no brake here';
    case 'gear':
      return `gear ${page.gears.corner}`;
    case 'turn-in-mark':
      return page.turnIn.target ? markWords(page.turnIn.target, length) : '–';
    case 'release':
      return page.trailBrake ? fromApex(page.trailBrake.release_m) : '–';
    case 'kerbs':
      return `apex ${KERB_USE[page.kerbs.apex]}, exit ${KERB_USE[page.kerbs.exit]}`;
    case 'throttle':
      return page.throttle.first_m == null ? '–' : fromApex(page.throttle.first_m);
    case 'feet':
      return feet(page, fromApex);
    case 'in-the-wet':
      return inTheWet;
    case 'way-out':
      return page.wayOut ?? '–';
    case 'own-points':
      return ownPoints(page, length, fromApex);
  }
}

/** "Where to look: at the old oak". */
function ownPoints(
  page: CornerPage,
  length: (m: number) => string,
  fromApex: (station: number) => string,
): string {
  const told = TYPED.flatMap((path) => {
    const point = pointAt(page, path);
    if (!point) return [];
    const where = point.target ? markWords(point.target, length) : fromApex(point.at_m);
    return [`${FIELDS[path].name}: ${where}`];
  });
  const points = (page.at ?? []).flatMap(({ point, target }) =>
    target && point !== 'brake' && point !== 'turn-in'
      ? [`${POINTS[point]}: ${markWords(target, length)}`]
      : [],
  );
  return [...told, ...points].join('; ') || '–';
}

/** The shapes that are the driver's own. */
function feet(page: CornerPage, fromApex: (station: number) => string): string {
  const own = (field: 'presses' | 'phases') => (page.sources[field] ?? 'model') !== 'model';
  const words = workWords({ presses: page.presses ?? [], phases: page.phases ?? [] }, fromApex);
  return [own('presses') ? words.presses : '', own('phases') ? words.phases : '']
    .filter(Boolean)
    .join('; ');
}

/** What it said when it was learned; undefined where that cannot be told in words. */
export function learnedWords({ kind, before }: RecallQuestion): string | undefined {
  if (before == null) return undefined;
  switch (kind) {
    case 'gear':
      return `gear ${before}`;
    case 'kerbs': {
      const [apex, exit] = before
        .split(' ')
        .map((use) => KERB_USE[use.toLowerCase().replaceAll('_', '-') as KerbUse]);
      return `apex ${apex}, exit ${exit}`;
    }
    case 'release':
    case 'throttle':
      // It is kept in steps of two metres from the apex.
      return `about ${Math.abs(2 * Number(before))} m ${Number(before) < 0 ? 'before' : 'past'} the apex`;
    case 'in-the-wet':
      return undefined;
    default:
      return before;
  }
}

/** How well it was known, as the method grades it. */
export const GRADES = [
  { key: '1', words: 'Not at all', quality: 1 },
  { key: '2', words: 'With trouble', quality: 3 },
  { key: '3', words: 'Right', quality: 4 },
  { key: '4', words: 'At once', quality: 5 },
] as const;
