import { describe, expect, it } from 'vitest';
import type { DriverFinding, GroupRemark, LeadDay, Turn } from '../api/lead';
import {
  findingOf,
  lapOfTurn,
  lineOn,
  moved,
  newKey,
  nextTurn,
  openFor,
  without,
} from './lead-day';

const turns: Turn[] = [
  { fromLap: 1, toLap: 2, order: ['a', 'b', 'c'] },
  { fromLap: 3, toLap: 3, order: ['b', 'c', 'a'] },
  { fromLap: 4, toLap: 4, order: ['b', 'c'] },
  { fromLap: 5, toLap: 6, order: ['c', 'b'] },
];
const member = (key: string) => ({ key, name: key, vehicle: '', fromLap: 1, goneFromLap: null });
const day: LeadDay = {
  drivers: ['a', 'b', 'c'].map(member),
  lapsEach: 2,
  laps: 6,
  lap: 1,
  paceShare: 0.7,
  words: [],
  cones: [],
  safetyBrief: [],
  files: [{ driver: 'b', file: 'f' }],
};
const remark = (driver: string, corner: number, state: GroupRemark['state']): GroupRemark => ({
  edition: 0,
  id: driver + corner,
  driver,
  corner,
  lap: 1,
  words: 'Early',
  good: false,
  own: false,
  state,
});

describe('the line', () => {
  it('is that of the turn of a lap', () => {
    expect(lineOn(turns, 2)).toEqual(['a', 'b', 'c']);
    expect(lineOn(turns, 4)).toEqual(['b', 'c']);
    expect(lineOn(turns, 9)).toEqual([]);
    expect(nextTurn(turns, 4)?.order[0]).toBe('c');
    expect(nextTurn(turns, 6)).toBeUndefined();
  });

  it('counts a turn on that somebody else’s leaving parted', () => {
    expect(lapOfTurn(turns, 1)).toEqual([1, 2]);
    expect(lapOfTurn(turns, 4)).toEqual([2, 2]);
    expect(lapOfTurn(turns, 9)).toBeUndefined();
  });
});

describe('remarks', () => {
  const all = [remark('a', 1, 'open'), remark('a', 2, 'taken'), remark('b', 1, 'open')];
  it('that are open are for their driver', () => {
    expect(openFor(all, 'a').map((r) => r.corner)).toEqual([1]);
  });

  it('have the dearest finding of that driver in that corner beside them', () => {
    const found = (driver: string, corner: number, cost_s: number | null): DriverFinding => ({
      driver,
      corner,
      rule: 'braked-early',
      amount: 9,
      laps: 4,
      of: 5,
      cost_s,
    });
    const findings = [found('a', 1, null), found('a', 1, 0.2), found('b', 1, 0.9)];
    expect(findingOf(findings, all[0])?.cost_s).toBe(0.2);
    expect(findingOf(findings, all[1])).toBeUndefined();
  });
});

describe('a driver', () => {
  it('who leaves keeps what he was told', () => {
    const gone = without({ ...day, lap: 4 }, 'b', [remark('b', 1, 'open')]);
    expect(gone.drivers.find((d) => d.key === 'b')).toMatchObject({ goneFromLap: 4 });
    expect(gone.files).toEqual(day.files);
  });

  it('who never drove just goes, and his file with him', () => {
    const gone = without(day, 'b', []);
    expect(gone.drivers.map((d) => d.key)).toEqual(['a', 'c']);
    expect(gone.files).toEqual([]);
  });

  it('has a key of his own', () => {
    expect(newKey(day.drivers, 'Åsa Lind')).toBe('a-sa-lind');
    expect(newKey([member('ada')], 'Ada')).toBe('ada-2');
    expect(newKey([], '山')).toBe('driver');
  });

  it('moves in the order, and not beyond it', () => {
    expect(moved(day.drivers, 'b', -1).map((d) => d.key)).toEqual(['b', 'a', 'c']);
    expect(moved(day.drivers, 'a', -1).map((d) => d.key)).toEqual(['a', 'b', 'c']);
    expect(moved(day.drivers, 'c', 1).map((d) => d.key)).toEqual(['a', 'b', 'c']);
  });
});
