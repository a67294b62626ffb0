import { describe, expect, it } from 'vitest';
import type { MarkReference, TraceCorner } from '../api/types';
import {
  carLengths,
  describe as describeCorner,
  drivenWords,
  edgeWords,
  gearsBetween,
  limitWords,
  markWords,
  ruleWords,
  turnsInFirst,
} from './words';

const metres = (m: number) => `${Math.round(m)} m`;
const board = (offset_m: number, side: MarkReference['side'] = 'left'): MarkReference => ({
  mark: '100 board',
  side,
  offset_m,
  thing: 'the 100 board, left',
  text: '',
});

describe('the order of a page', () => {
  // A lap of 1000 m: what is less than half of it on lies ahead.
  const ahead = (from: number, to: number) => ((to - from + 1500) % 1000) - 500;
  const page = (at_m: number | undefined, turn: number) => ({
    brake: { at_m, style: 'squeeze' as const },
    turnIn: { at_m: turn, speed_mps: 40 },
  });

  it('begins with the turn-in where the brake comes in the bend, across the line too', () => {
    expect(turnsInFirst(page(752, 726), ahead)).toBe(true);
    expect(turnsInFirst(page(312, 445), ahead)).toBe(false);
    expect(turnsInFirst(page(5, 990), ahead)).toBe(true);
    expect(turnsInFirst(page(990, 5), ahead)).toBe(false);
    expect(turnsInFirst(page(undefined, 445), ahead)).toBe(false);
  });
});

describe('a point in words', () => {
  it('is told past, before, at or under its mark', () => {
    expect(markWords(board(12), metres)).toBe('12 m past the 100 board, left');
    expect(markWords(board(-8), metres)).toBe('8 m before the 100 board, left');
    expect(markWords(board(1), metres)).toBe('at the 100 board, left');
    expect(markWords(board(0, 'over'), metres)).toBe('under the 100 board, left');
  });

  it("takes the driver's units", () => {
    expect(markWords(board(9.144), (m) => `${Math.round(m / 0.9144)} yd`)).toBe(
      '10 yd past the 100 board, left',
    );
  });
});

describe('marks that are not boards', () => {
  it("takes the driver's own words, a count of time and the middle of a thing as they are", () => {
    expect(markWords({ ...board(12), own: 'where the fence turns' }, metres)).toBe(
      'where the fence turns',
    );
    const count = { ...board(0), weak: true, text: '1.8 s after the change into 5' };
    expect(markWords(count, metres)).toBe('1.8 s after the change into 5');
    expect(markWords({ ...board(1), near: 'half-way along the banner, left' }, metres)).toBe(
      'half-way along the banner, left',
    );
  });

  it('counts car lengths to the half, as long as one can see them', () => {
    expect(carLengths(9, 4.5)).toBe('about 2 car lengths');
    expect(carLengths(-6.6, 4.5)).toBe('about 1½ car lengths');
    expect(carLengths(4, 4.5)).toBe('about 1 car length');
    expect(carLengths(40, 4.5)).toBe('');
    expect(carLengths(9, 0)).toBe('');
  });
});

describe('track limits', () => {
  it('say what lies there and how far one may go', () => {
    expect(edgeWords({ allowed_m: 1.55, kerb: 'ramp', kerbHeight_mm: 45 }, metres)).toBe(
      'ramp kerb, 45 mm; 2 m at most',
    );
    expect(edgeWords({}, metres)).toBe('no kerb; no bound but the ground');
    expect(ruleWords('one-wheel-inside-line')).toBe('one wheel stays inside the line');
  });
});

describe('gears', () => {
  it('names the ones between', () => {
    expect(gearsBetween({ approach: 5, corner: 2 })).toBe('4 · 3');
    expect(gearsBetween({ approach: 3, corner: 2 })).toBe('');
    expect(gearsBetween({ approach: 3, corner: 4 })).toBe('');
  });
});

describe('a corner in a line', () => {
  const corner: TraceCorner = {
    number: 4,
    name: 'Mill',
    direction: 'RIGHT',
    fromM: 0,
    toM: 90,
    lengthM: 90,
    angleDeg: 118,
    tightestRadiusM: 27,
    tightestM: 45,
    gradePct: -4.2,
    bankingDeg: -2,
    vertical: 0,
    linkWithNext: false,
    kind: 'CHICANE_PART',
  };

  it('says direction, kind, radius, grade and camber', () => {
    expect(describeCorner(corner, metres)).toBe(
      'right 118° · chicane part · tightest 27 m · 4 % downhill · off-camber 2°',
    );
  });

  it('leaves out what is flat', () => {
    expect(describeCorner({ ...corner, gradePct: 0.3, bankingDeg: 0 }, metres)).toBe(
      'right 118° · chicane part · tightest 27 m',
    );
  });
});

describe('what comes of driving a page', () => {
  const across = (m: number) => `${m.toFixed(1)} m`;
  const past = (s: number) => `${Math.round(s - 100)} m past the turn-in`;
  const made = {
    made: true,
    gripNeeded: 0.934,
    gripAt_m: 147,
    wide_m: 0,
    beyond_m: 0,
    locked_m: 0,
    spun_m: 0,
  };

  it('says that it is made and with how much of the grip', () => {
    expect(drivenWords(made, across, past)).toBe(
      "Made, with 93 % of the tyres' grip, 47 m past the turn-in",
    );
  });

  it('tells the brake point that was found for pressures of one’s own', () => {
    expect(drivenWords({ ...made, brakeFound_m: 70 }, across, past)).toContain(
      'the brakes begin -30 m past the turn-in for the same apex speed',
    );
  });

  it('adds what slips', () => {
    const slides = { ...made, gripNeeded: 1.04, wide_m: 0.6, wideAt_m: 150, spun_m: 8 };
    expect(drivenWords(slides, across, past)).toContain('0.6 m wide of its line; a wheel spins');
  });

  it('says how far beyond the road the car would be, and where', () => {
    const off = { ...made, made: false, gripNeeded: 1.2, beyond_m: 2.34, beyondAt_m: 180 };
    expect(drivenWords(off, across, past)).toBe(
      "Not made: leaves the road 80 m past the turn-in, by 2.3 m; asks for 120 % of the tyres' grip, 47 m past the turn-in",
    );
    expect(drivenWords({ ...off, beyond_m: 84 }, across, past)).toContain('by more than 10.0 m');
  });
});

describe('what is the limit', () => {
  it('names the axle in each phase, and nothing where nothing is', () => {
    expect(limitWords({ braking: 'rear', entry: 'rear', exit: 'front' })).toBe(
      'braking, the rear locks first; on the way in, the rear comes round first; on the way out, the front pushes first',
    );
    expect(limitWords({ exit: 'engine' })).toBe('on the way out, the engine');
    expect(limitWords({})).toBe('');
  });

  it('says once what holds on the way in and out', () => {
    expect(limitWords({ braking: 'both', entry: 'both', exit: 'both' })).toBe(
      'braking, both axles together; on the way in and out, both axles together',
    );
  });
});
