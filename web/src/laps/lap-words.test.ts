import { describe, expect, it } from 'vitest';
import type { PreviewedLaps } from '../api/laps';
import { countOfKinds, movedWords, surfaceWords, whoseWords } from './lap-words';

type Lap = PreviewedLaps['laps'][number];
const lap = (number: number, kind: Lap['kind'], time_s?: number): Lap => ({ number, kind, time_s });

describe('words of laps', () => {
  it('counts each kind once, flying ones first with their best', () => {
    const laps = [
      lap(1, 'out'),
      lap(2, 'flying', 113.2),
      lap(3, 'slow', 150),
      lap(4, 'flying', 112.31),
      lap(5, 'broken', 3700),
      lap(6, 'in'),
    ];
    expect(countOfKinds(laps)).toBe(
      '2 flying laps, best 1:52.310; 1 out-lap, 1 slow, 1 with a broken clock or record, 1 in-lap',
    );
    expect(countOfKinds([lap(1, 'off', 120)])).toBe('no flying lap; 1 off or stopped');
    expect(countOfKinds([lap(1, 'flying', 70)])).toBe('1 flying lap, best 1:10.000');
  });

  it('says how far positions were moved, and nothing where they were not', () => {
    expect(movedWords({ lag_s: 0.302, shift_m: 4.04, noise_m: 1.54 })).toEqual([
      'Lag of the positions 302 ms',
      'Shift of the positions 4.0 m',
      'Noise of the positions 1.5 m',
    ]);
    expect(movedWords({ lag_s: 0, shift_m: 0, noise_m: 0.4 })).toEqual([]);
  });

  it('names whose laps they are', () => {
    expect(whoseWords({ driver: '', vehicle: '' })).toBe('you');
    expect(whoseWords({ driver: 'R. Quill', vehicle: 'spare car' })).toBe('R. Quill, spare car');
    expect(surfaceWords('wet', 'dry')).toContain('go with a dry road');
  });
});
