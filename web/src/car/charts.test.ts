import { describe, expect, it } from 'vitest';
import type { Balance, CarOnCircuit } from '../api/answers';
import { balancePicture, gearSaw, gripEdges, limiterRpm, type Room } from './charts';

const room: Room = { width: 500, height: 300, left: 40, right: 10, top: 10, bottom: 30 };

const car = {
  gears: {
    gears: [
      { number: 1, idleMps: 3, limiterMps: 20, usedShare: 0.1 },
      { number: 2, idleMps: 5, limiterMps: 40, usedShare: 0.9 },
    ],
    longest: { fromM: 0, lengthM: 500, topMps: 36, gear: 2, rpm: 6300, limiterS: 0 },
    finalDrives: [],
  },
} as unknown as CarOnCircuit;

describe('the gear picture', () => {
  it('finds the limiter from the speed that is reached in a gear', () => {
    expect(limiterRpm(car)).toBeCloseTo(7000, 6);
  });

  it('ends every tooth at the limiter, the taller gear farther right', () => {
    const saw = gearSaw(car, 7000, room);
    expect(saw.teeth.map((t) => t.y2)).toEqual([saw.y(7000), saw.y(7000)]);
    expect(saw.teeth[1].x2).toBeGreaterThan(saw.teeth[0].x2);
    expect(saw.teeth[1].x2).toBeLessThan(room.width - room.right);
  });
});

describe('the grip picture', () => {
  const edges = [
    { lateralG: 0, drivingG: 0.5, brakingG: 1.2 },
    { lateralG: 1.3, drivingG: -0.05, brakingG: 0.05 },
  ];
  const picture = gripEdges([{ speedMps: 30, edges }], room);

  it('has one scale for both ways', () => {
    expect(picture.x(1) - picture.x(0)).toBeCloseTo(picture.y(0) - picture.y(1), 9);
  });

  it('is the same to both sides and lies within its room', () => {
    const numbers = picture.edges[0].path.match(/-?[\d.]+/g)!.map(Number);
    const xs = numbers.filter((_, i) => i % 2 === 0);
    const ys = numbers.filter((_, i) => i % 2 === 1);
    expect(Math.min(...xs) + Math.max(...xs)).toBeCloseTo(2 * picture.x(0), 2);
    expect(Math.min(...ys)).toBeGreaterThanOrEqual(room.top);
    expect(Math.max(...ys)).toBeLessThanOrEqual(room.height - room.bottom);
  });
});

describe('the balance picture', () => {
  const balance = (most: number): Balance => ({
    chosen: 0.62,
    standing: [
      { decelerationG: 0, frontShare: 0.5 },
      { decelerationG: most, frontShare: 0.5 + 0.18 * most },
    ],
    fast: [
      { decelerationG: 0, frontShare: 0.5 },
      { decelerationG: most + 0.3, frontShare: 0.49 + 0.18 * most },
    ],
    zones: [],
  });

  it('shows how far the wet road goes on the curve of the dry one', () => {
    const picture = balancePicture(balance(1.1), balance(0.7), room);
    expect(picture.wetEnd.decelerationG).toBe(0.7);
    expect(picture.x(picture.wetEnd.decelerationG)).toBeLessThan(
      picture.x(picture.dryEnd.decelerationG),
    );
    expect(picture.y(0.62)).toBeGreaterThan(room.top);
    expect(picture.y(0.62)).toBeLessThan(room.height - room.bottom);
  });
});
