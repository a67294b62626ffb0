import { describe, expect, it } from 'vitest';
import { testPage } from '../test-lap';
import {
  annotationText,
  bolderWords,
  isTold,
  pointsOf,
  pointStation,
  toldDays,
  variantWords,
  warningsOf,
  withVariant,
} from './annotations';

const LAP = { length_m: 1000, closed: true };
const WRITER = {
  speed: (mps: number) => `${mps} m/s`,
  length: (m: number) => `${m} m`,
  across: (m: number) => `${m} m`,
};

describe('points of a page', () => {
  it('are those that it has, in driving order', () => {
    const page = testPage();
    const points = pointsOf(page);
    expect(points[0]).toBe('brake');
    expect(points.at(-1)).toBe('exit');
    expect(points).not.toContain('lift');
  });
  it('are the first changes down and up', () => {
    const changes = [
      { at_m: 10, to: 3 },
      { at_m: 20, to: 2 },
      { at_m: 90, to: 3 },
    ];
    const page = testPage({ gears: { ...testPage().gears, approach: 4, changes } });
    expect(pointStation(page, 'gear-down')).toBe(10);
    expect(pointStation(page, 'gear-up')).toBe(90);
  });
});

describe('notes', () => {
  it('travel where they can hurt or are to be minded', () => {
    const pointNotes = [
      { point: 'exit', kind: 'danger', severity: 1, text: 'wall' },
      { point: 'apex', kind: 'surface', severity: 2, text: 'bump' },
      { point: 'apex', kind: 'feel', severity: 1, text: 'light' },
    ] as const;
    expect(warningsOf(testPage({ pointNotes: [...pointNotes] }))).toEqual([
      'danger, exit: wall',
      'surface, apex: bump',
    ]);
  });
});

describe('a comparison', () => {
  it('tells what hangs on the points, and nothing of other fields', () => {
    const page = testPage({
      at: [{ point: 'exit', by: 'aim', mark: 'pine', phrase: 'let it run' }],
      pointNotes: [{ point: 'exit', kind: 'danger', severity: 3, text: 'wall' }],
      variants: { cold: { 'brake.at_m': 192, 'gears.corner': 2, 'kerbs.exit': 'none' } },
    });
    expect(annotationText(page, 'at', WRITER)).toBe('exit pine “let it run”');
    expect(annotationText(page, 'gates', WRITER)).toBe('');
    expect(annotationText(page, 'pointNotes', WRITER)).toBe('danger, exit: wall');
    expect(annotationText(page, 'variants', WRITER)).toBe(
      'laps 1 to 3: brake at 192 m, gear 2, kerb at the exit none',
    );
    expect(annotationText(page, 'brake.at_m', WRITER)).toBeUndefined();
  });
});

describe('another day', () => {
  const page = testPage({ brake: { ...testPage().brake, at_m: 5 } });
  it('says what is otherwise, the short way over the line', () => {
    const values = { 'brake.at_m': 997, 'gears.corner': 2, 'kerbs.exit': 'none' } as const;
    expect(variantWords(page, values, LAP, WRITER)).toBe('brake 8 m earlier, gear 2, no exit kerb');
  });
  it('is told on the first laps always, and else as the day is', () => {
    const variants = { cold: { 'gears.corner': 2 }, wet: { 'gears.corner': 4 } };
    const dry = { surface: 'dry', tyres: 'warm', fuel_kg: 20 } as const;
    const told = (day: Parameters<typeof toldDays>[3], book = dry) =>
      toldDays({ ...page, variants }, LAP, WRITER, day, book);
    expect(told(dry)).toEqual(['laps 1 to 3: gear 2']);
    expect(told({ ...dry, surface: 'wet' })).toEqual(['laps 1 to 3: gear 2', 'wet: gear 4']);
    expect(isTold('heavy', { ...dry, fuel_kg: 31 }, dry)).toBe(true);
    expect(isTold('heavy', { ...dry, fuel_kg: 29 }, dry)).toBe(false);
    expect(isTold('worn', { ...dry, tyres: 'worn' }, dry)).toBe(true);
  });
  it('is not told where it is bolder than the page', () => {
    const dry = { surface: 'dry', tyres: 'warm', fuel_kg: 20 } as const;
    const cold = { 'brake.at_m': 44, 'gears.corner': 2 };
    const bolder = {
      ...page,
      variants: { cold, wet: { 'brake.at_m': 44 } },
      variantsBolder: { cold: { 'brake.at_m': 44 }, wet: { 'brake.at_m': 44 } },
    };
    expect(toldDays(bolder, LAP, WRITER, { ...dry, surface: 'wet' }, dry)).toEqual([
      'laps 1 to 3: gear 2',
    ]);
    expect(bolderWords(bolder, 'cold', LAP, WRITER)).toBe('brake 39 m later');
    expect(bolderWords(page, 'cold', LAP, WRITER)).toBe('');
  });
  it('is left out when its last value goes', () => {
    const two = withVariant({ cold: { 'gears.corner': 2 } }, 'wet', 'gears.corner', 3);
    expect(two).toEqual({ cold: { 'gears.corner': 2 }, wet: { 'gears.corner': 3 } });
    expect(withVariant(two, 'cold', 'gears.corner', undefined)).toEqual({
      wet: { 'gears.corner': 3 },
    });
    expect(
      withVariant({ cold: { 'gears.corner': 2 } }, 'cold', 'gears.corner', undefined),
    ).toBeUndefined();
  });
});
