import type { Problem } from '../api/types';
import { whyWords } from '../say/every';

/** Names of the values that have a field on the screen. */
export const FIELD_WORDS: Record<string, string> = {
  event: 'The event',
  startsAt: 'The hour',
  laterHour: 'The later hour',
  length_min: 'The length',
  'tyres.name': 'The name of the tyres',
  'tyres.laps': 'Their laps',
  'tyres.goodLaps': 'The laps they stay good for',
  'tyres.inUseSince': 'The day since when they are in use',
  gripUsed: 'The grip used',
  fuel_kg: 'The fuel',
  coldLap: 'The lap on cold tyres',
  wear: 'The wear',
  airTemperature_c: 'The air',
  trackTemperature_c: 'The road',
  pressure_hpa: 'The pressure',
  windSpeed_mps: 'The wind',
  windFrom_deg: 'The direction of the wind',
  parts: 'A part of the lap',
  openPoints: 'The open points',
  'openPoints.words': 'An open point',
  'openPoints.corner': 'The corner of an open point',
  'result.laps': 'The laps driven',
  'result.bestLap_s': 'The best lap',
  'result.learned': 'What was learned',
};

/**
 * What the server says of a value, without the value's own name in a file.
 *
 * "tyres.laps (−3) must lie between 0 and 2000." becomes "Their laps (−3) must lie …".
 */
export function fieldWords(problem: Pick<Problem, 'detail'> & Partial<Problem>): string {
  const field = problem.field ?? '';
  const subject = FIELD_WORDS[field] ?? FIELD_WORDS[field.split('.')[0]] ?? 'The value';
  const why = whyWords(problem);
  const goesOn = /^(\(|is |has |must |lie|need)/.test(why);
  return goesOn ? `${subject} ${why}` : `${subject}: ${why}`;
}
