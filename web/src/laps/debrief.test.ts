import { describe, expect, it } from 'vitest';
import type { Debrief, DrivenLap, Reading } from '../api/laps';
import { cornersOf, flying, joined, median, places, spread } from './debrief';

const lap = { length_m: 1000, closed: true };
const driven = (number: number, corners: Reading[], kind: DrivenLap['kind'] = 'flying') =>
  ({
    id: `f.${number}`,
    file: 'f',
    number,
    kind,
    whole: kind === 'flying',
    time_s: 40,
    corners,
  }) as DrivenLap;
const debrief: Debrief = {
  driver: '',
  vehicle: '',
  drivers: [],
  surface: 'dry',
  revision: 2,
  lap_s: 39,
  page: [
    { corner: 1, brakeOn_m: 10, lowestSpeed_mps: 25, time_s: 20 },
    { corner: 2, brakeOn_m: null, lowestSpeed_mps: 40, time_s: 19 },
  ],
  laps: [
    driven(1, [], 'out'),
    driven(2, [
      {
        corner: 1,
        brakeOn_m: 998,
        lowestSpeed_mps: 24,
        time_s: 20.4,
        delta_s: 0.4,
      },
      { corner: 2, lowestSpeed_mps: 40, time_s: 19.2 },
    ]),
    driven(3, [
      {
        corner: 1,
        brakeOn_m: 4,
        lowestSpeed_mps: 24.5,
        time_s: 20.2,
        delta_s: 0.2,
      },
      { corner: 2, lowestSpeed_mps: 40, time_s: 19.3 },
    ]),
    driven(4, [
      { corner: 1, brakeOn_m: 6, lowestSpeed_mps: 25, time_s: 20.3, delta_s: 0.3 },
      { corner: 2, lowestSpeed_mps: 39, time_s: 19.1 },
    ]),
  ],
  remarks: [],
  files: [],
};

describe('the middle of laps', () => {
  it('is the median, and the spread the median distance from it', () => {
    expect(median([3, 1, 2])).toBe(2);
    expect(median([4, 1, 2, 3])).toBe(2.5);
    expect(median([])).toBeUndefined();
    expect(spread([1, 2, 3, 4, 100])).toBe(1);
  });
});

describe('laps against the page', () => {
  const account = (id: string, lost_s: number) => ({
    id,
    lost_s,
    brought_s: 0,
    handedOn_s: 0,
    corners: [{ corner: 1, lost_s, unexplained_s: 0, parts: [] }],
  });
  const causes = {
    findings: [],
    guesses: [],
    laps: [account('a', 0.45), account('b', 0.2), account('c', 0.35)],
  };
  const corners = cornersOf(debrief, flying(debrief), lap, causes);

  it('have no account while causes are still looked for', () => {
    expect(cornersOf(debrief, flying(debrief), lap)[0].charged_s).toBeUndefined();
  });

  it('are told over the line the short way, earlier as negative', () => {
    expect(corners[0].brake_m).toBe(-6);
    expect(corners[0].lowest_mps).toBe(-0.5);
    expect(corners[0].lost_s).toBeCloseTo(0.3, 9);
    expect(corners[0].charged_s).toBeCloseTo(0.35, 9);
    expect(corners[0].brakeSpread_m).toBe(2);
  });

  it('leave out what neither has', () => {
    expect(corners[1].brake_m).toBeUndefined();
    expect(corners[1].throttle_m).toBeUndefined();
  });

  it('join their best corners to a lap', () => {
    expect(joined(corners)).toBeCloseTo(39.3, 9);
    expect(joined(cornersOf(debrief, [], lap))).toBeUndefined();
    expect(joined([])).toBeUndefined();
  });

  it('do not count where somebody said so', () => {
    const said = { ...debrief, laps: debrief.laps.map((l) => ({ ...l, kind: 'off' as const })) };
    expect(flying(said)).toEqual([]);
  });

  it('say where each braked on the lap', () => {
    expect(places(flying(debrief), 1, 'brakeOn_m', lap)).toEqual([998, 4, 6]);
  });
});
