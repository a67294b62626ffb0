import { expect, it } from 'vitest';
import type { DraftState } from '../book/draft';
import { countChanges } from '../book/draft';
import { setMeasured } from './measured';

it('keeps a value that laps measured with their names', () => {
  const start = { conditions: {}, line: 'smooth', ownValues: [] } as unknown as DraftState;
  const once = setMeasured(start, 9, 'brake.at_m', 2700, ['Mira, lap 2']);
  const twice = setMeasured(once, 9, 'throttle.first_m', 2800, ['Mira, lap 2']);
  expect(twice.ownValues).toEqual([
    {
      corner: 9,
      'brake.at_m': 2700,
      'throttle.first_m': 2800,
      measured: { 'brake.at_m': ['Mira, lap 2'], 'throttle.first_m': ['Mira, lap 2'] },
    },
  ]);
  expect(countChanges(start, twice)).toBe(2);
  expect(start.ownValues).toEqual([]);
});
