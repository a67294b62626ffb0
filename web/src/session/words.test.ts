import { describe, expect, it } from 'vitest';
import type { KeptSession } from '../api/sessions';
import { hourWords, inWords, kerbUse, nextOf, warmUpLines } from './words';

const kept = (begins: string, driven = false): KeptSession =>
  ({
    id: begins,
    begins,
    session: { length_min: 20, result: driven ? { laps: 3 } : undefined },
  }) as unknown as KeptSession;

describe('hours', () => {
  it('are told as the clocks at the circuit show them', () => {
    expect(hourWords('2026-06-13T10:20')).toBe('Sat 13 Jun, 10:20');
    expect(hourWords('nonsense')).toBe('nonsense');
  });

  it('are so far away', () => {
    const now = new Date('2026-06-13T10:00:00Z');
    expect(inWords('2026-06-13T10:20:00Z', now)).toBe('in 20 min');
    expect(inWords('2026-06-14T09:00:00Z', now)).toBe('in 23 h');
    expect(inWords('2026-06-16T10:00:00Z', now)).toBe('in 3 days');
    expect(inWords('2026-06-13T09:00:00Z', now)).toBe('now');
    expect(inWords('2026-06-12T09:00:00Z', now)).toBe('over');
  });
});

describe('the next session', () => {
  const now = new Date('2026-06-13T10:30:00Z');

  it('is the first that is neither driven nor over', () => {
    const list = [
      kept('2026-06-12T10:00:00Z'),
      kept('2026-06-13T10:20:00Z'),
      kept('2026-06-14T10:00:00Z'),
    ];
    expect(nextOf(list, now)).toBe(list[1]);
    expect(nextOf([kept('2026-06-13T10:20:00Z', true), list[2]], now)).toBe(list[2]);
    expect(nextOf([{ ...list[1], driven: true }, list[2]], now)).toBe(list[2]);
    expect(nextOf([list[0]], now)).toBeUndefined();
  });
});

describe('kerbs', () => {
  it('are counted from leaving them', () => {
    expect(kerbUse(0)).toBe('none');
    expect(kerbUse(4)).toBe('full');
  });
});

describe('the warm-up', () => {
  const lap = (number: number, earlier: number) => ({
    lap: number,
    brakeEarlier_m: earlier,
    lowerGearIn: [] as number[],
  });
  it('ends with the first lap after which there is nothing new to say', () => {
    const lines = warmUpLines(
      [lap(1, 6), lap(2, 3), lap(3, 0), lap(4, 0)] as unknown as Parameters<typeof warmUpLines>[0],
      (m) => `${m} m`,
    );
    expect(lines.map((l) => l.lap)).toEqual([1, 2, 3]);
    expect(lines[2].words).toBe('tyres warm.');
  });
});
