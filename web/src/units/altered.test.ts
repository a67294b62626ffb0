import { describe, expect, it } from 'vitest';
import { boundsOf, figureOf, siOf, typedAs, unitOf } from './altered';

const metric = { length: 'm', speed: 'km/h' } as const;
const imperial = { length: 'ft', speed: 'mph' } as const;

describe('a value that is typed anew', () => {
  it('is typed by what it is', () => {
    expect(['brake.at_m', 'apexes.speed_mps', 'gear.corner', null].map(typedAs)).toEqual([
      'way',
      'speed',
      'plain',
      'plain',
    ]);
    expect(unitOf('way', imperial)).toBe('ft');
    expect(unitOf('plain', metric)).toBe('');
  });

  it('is read in the driver’s units, and comes back as it was written', () => {
    // 1 ft = 0.3048 m and 1 mi = 1609.344 m exactly (NIST SP 811).
    expect(siOf('way', -20, imperial)).toBeCloseTo(-6.096, 9);
    expect(siOf('speed', 50, imperial)).toBeCloseTo((50 * 1609.344) / 3600, 9);
    expect(siOf('speed', 90, metric)).toBeCloseTo(25, 9);
    expect(siOf('plain', 3, metric)).toBe(3);
    expect(figureOf('way', siOf('way', -12, imperial), imperial)).toBeCloseTo(-12, 9);
    expect(figureOf('speed', siOf('speed', 113, metric), metric)).toBeCloseTo(113, 9);
  });

  it('has whole bounds in his units', () => {
    expect(boundsOf('way', imperial)).toEqual({ min: -1640, max: 1640 });
    expect(boundsOf('speed', metric)).toEqual({ min: 4, max: 504 });
  });
});
