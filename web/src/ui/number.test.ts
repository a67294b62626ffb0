import { describe, expect, it } from 'vitest';
import { readNumber } from './number';

const metres = { min: 0.5, max: 60, unit: 'm' };

describe('a typed number', () => {
  it('is taken with a comma too, as it was typed and never as another', () => {
    expect(readNumber('5,24', metres)).toEqual({ value: 5.24 });
    expect(readNumber(' 60 ', metres)).toEqual({ value: 60 });
    expect(readNumber('−3', { min: -5, max: 5 })).toEqual({ value: -3 });
  });

  it('beyond a bound is refused whole, with the bound in its unit', () => {
    expect(readNumber('-5', metres)).toEqual({
      wrong: '-5 m cannot be: it must lie between 0.5 m and 60 m.',
    });
    expect(readNumber('99999', { max: 3950, unit: 'm' })).toEqual({
      wrong: '99999 m cannot be: it must lie at or below 3950 m.',
    });
  });

  it('that counts something is whole', () => {
    expect(readNumber('3', { whole: true })).toEqual({ value: 3 });
    expect(readNumber('2.5', { min: 1, whole: true })).toEqual({
      wrong: '2.5 cannot be: it must be a whole number.',
    });
  });

  it('that is none says so, and an empty one only where it may be', () => {
    expect(readNumber('12m', metres)).toEqual({ wrong: '"12m" is no number.' });
    expect(readNumber('1e999', metres)).toEqual({ wrong: '"1e999" is no number.' });
    expect(readNumber('', metres)).toEqual({
      wrong: 'A number between 0.5 m and 60 m is missing.',
    });
    expect(readNumber('', { ...metres, optional: true })).toEqual({ value: undefined });
  });
});
