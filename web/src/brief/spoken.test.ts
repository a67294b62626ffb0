import { describe, expect, it } from 'vitest';
import type { Call } from '../api/answers';
import { due, inLapOrder, lastBegun } from './spoken';

const call = (from_s: number, words: string) => ({ from_s, to_s: from_s + 2, words }) as Call;
const calls = inLapOrder([call(-2, 'first'), call(10, 'second'), call(40, 'third')], 100);

describe('a spoken lap', () => {
  it('hears what belongs before the line at its end', () => {
    expect(calls.map((c) => c.words)).toEqual(['second', 'third', 'first']);
    expect(calls[2].begins).toBe(98);
  });

  it('begins each call once as time goes on', () => {
    expect(due(calls, 0, 9.99)).toEqual([]);
    expect(due(calls, 9.99, 10).map((c) => c.words)).toEqual(['second']);
    expect(due(calls, 10, 10.5)).toEqual([]);
    expect(due(calls, 5, 45)).toHaveLength(2);
  });

  it('knows which one was begun last', () => {
    expect(lastBegun(calls, 5)).toBe(-1);
    expect(lastBegun(calls, 41)).toBe(1);
  });
});
