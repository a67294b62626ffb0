import { expect, it } from 'vitest';

import { cornerName, cornerNumber } from './corner-name';

it('calls a corner by number and name, and one without a name a turn', () => {
  expect(cornerName({ corner: 3, name: 'Mill' })).toBe('3 Mill');
  expect(cornerName({ corner: 3, name: '' })).toBe('turn 3');
  expect(cornerName({ corner: 12 })).toBe('turn 12');
  expect(cornerName({ corner: 6, name: '5A' })).toBe('5A');
  expect(cornerNumber({ corner: 6, name: '5A' })).toBe('5A');
  expect(cornerNumber({ corner: 6, name: 'Mill 5A' })).toBe('6');
});
