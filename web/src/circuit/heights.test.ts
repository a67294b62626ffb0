import { describe, expect, it } from 'vitest';
import { doubtWords, gradeWords, heightsOpen } from './heights';
import type { CircuitPreview, RecordedHeights } from './types';

const heights: RecordedHeights = {
  noiseM: 2,
  overM: 48,
  gapM: 0,
  steepestUp: 0.0416,
  steepestDown: 0.03,
  riseM: 12,
  doubtful: true,
};
const preview = (h?: RecordedHeights) => ({ track: { heights: h } }) as CircuitPreview;

describe('heights of a recording', () => {
  it('are told by their steepest grades', () => {
    expect(gradeWords(heights)).toBe('up to 4.2 % up and 3.0 % down');
  });

  it('are doubted with the reason, and a gap only where there is one', () => {
    const metres = (m: number) => `${m.toFixed(1)} m`;
    expect(doubtWords(heights, metres)).toBe('They jump by 2.0 m from point to point.');
    expect(doubtWords({ ...heights, gapM: -5.3 }, metres)).toBe(
      'They jump by 2.0 m from point to point and are 5.3 m off after one lap.',
    );
  });

  it('are asked for only where they are doubtful, and until it is said', () => {
    expect(heightsOpen(preview(heights), {})).toBe(true);
    expect(heightsOpen(preview(heights), { level: false })).toBe(false);
    expect(heightsOpen(preview({ ...heights, doubtful: false }), {})).toBe(false);
    expect(heightsOpen(preview(), {})).toBe(false);
    expect(heightsOpen({} as CircuitPreview, {})).toBe(false);
  });
});
