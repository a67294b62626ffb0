import { describe, expect, it } from 'vitest';
import type { Beside, Side } from '../api/answers';
import { besideWords } from './beside';

const side = (kind: Side['kind']) => ({ kind }) as Side;
const row = (first: Side['kind'], second: Side['kind'], brakesLaterM?: number) =>
  ({
    corner: 1,
    name: 'Mill',
    first: side(first),
    second: side(second),
    brakesLaterM,
  }) as Beside['rows'][number];
const text = (m: number) => `${Math.round(m)} m`;

describe('a corner of two vehicles', () => {
  it('says what is a straight for one and a corner for the other', () => {
    expect(besideWords(row('BRAKES', 'STRAIGHT'), text)).toBe('stays flat');
    expect(besideWords(row('STRAIGHT', 'BRAKES'), text)).toBe('has to brake');
    expect(besideWords(row('BRAKES', 'LIFT'), text)).toBe('lifts');
  });

  it('says how much later the second brakes where both do', () => {
    expect(besideWords(row('BRAKES', 'BRAKES', 41.6), text)).toBe('brakes 42 m later');
    expect(besideWords(row('BRAKES', 'BRAKES', -8), text)).toBe('brakes 8 m earlier');
    expect(besideWords(row('BRAKES', 'BRAKES', 0.4), text)).toBe('brakes at the same place');
    expect(besideWords(row('LIFT', 'LIFT'), text)).toBe('does the same');
  });
});
