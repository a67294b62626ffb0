import { describe, expect, it } from 'vitest';
import { gearWords, ownChanges, ownGear, workWords } from './work-words';

const place = (station: number) => `at ${station}`;

describe('what the feet do, in words', () => {
  it('tells a press from its begin to its end, and a second one after it', () => {
    const press = { on_m: 100, peak_pct: 90, knots: [{ at_m: 150, pct: 35.2 }], off_m: 180 };
    const dab = { on_m: 40, peak_pct: 20, knots: [], off_m: 60 };
    expect(workWords({ presses: [dab, press], phases: [] }, place).presses).toBe(
      '20 % from at 40, off at 60; then 90 % from at 100, 35 % at 150, off at 180',
    );
  });

  it('tells a lift by how much and a held throttle by how long', () => {
    const phases = [
      { kind: 'lift' as const, at_m: 10, to_pct: 50, until_m: 30 },
      { kind: 'hold' as const, at_m: 30, to_pct: 15, until_m: 80 },
      { kind: 'first' as const, at_m: 81, to_pct: 30 },
      { kind: 'flat' as const, at_m: 99, to_pct: 100 },
    ];
    expect(workWords({ presses: [], phases }, place)).toEqual({
      presses: '',
      phases: 'lift to 50 % at 10, hold 15 % until at 80, 30 % at 81, flat at 99',
    });
  });
});

describe('gears, in words', () => {
  it('tells those that differ and what each change is for', () => {
    const changes = [
      { at_m: 10, to: 1, kind: 'rotation' as const },
      { at_m: 50, to: 2, kind: 'up' as const },
      { at_m: 80, to: 3, kind: 'short' as const },
    ];
    const gears = { approach: 4, in: 1, corner: 2, out: 3, downshifts_m: [10], changes };
    expect(gearWords(gears, place)).toBe(
      '1 in, 2 at the apex, 3 out; 1 from at 10, to turn in; 2 from at 50; 3 from at 80, short',
    );
  });

  it('are written as changes or as gears, never as both', () => {
    expect(Object.keys(ownGear('gears.out', 3))).toEqual(['gears.out', 'gears.changes']);
    expect(ownChanges([{ at_m: 5, to: 2, kind: 'down' }])).toEqual({
      'gears.in': undefined,
      'gears.corner': undefined,
      'gears.out': undefined,
      'gears.changes': [{ at_m: 5, to: 2 }],
    });
  });

  it('tells one gear once', () => {
    const gears = { approach: 3, in: 3, corner: 3, out: 3, downshifts_m: [], changes: [] };
    expect(gearWords(gears, place)).toBe('3 throughout');
  });
});
