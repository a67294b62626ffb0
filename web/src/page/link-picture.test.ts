import { describe, expect, it } from 'vitest';
import type { LinkSweep, LinkWay } from '../api/answers';
import { linkPicture } from './link-picture';
import { quickest } from './panels.svelte';

const way = (offset_m: number, lost_s: number) => ({ offset_m, lost_s }) as LinkWay;
const sweep: LinkSweep = {
  link_m: 500,
  presentOffset_m: 0,
  from_m: 400,
  step_m: 1,
  ways: [way(-4, 3), way(-2, -0.1), way(0, 0), way(2, 0.1), way(4, 0.3)],
};
const size = { width: 500, height: 200, left: 50, bottom: 40 };

describe('the picture of a link', () => {
  const picture = linkPicture(sweep, size);

  it('has the left of the road at its left', () => {
    expect(picture.x(4)).toBeLessThan(picture.x(-4));
  });

  it('puts the quickest way highest and leaves hopeless ones out', () => {
    const y = (picture.path.match(/-?[\d.]+/g) ?? []).map(Number).filter((_, i) => i % 2 === 1);
    expect(y).toHaveLength(4);
    expect(Math.min(...y)).toBeCloseTo(picture.y(-0.1), 3);
    expect(Math.max(...y)).toBeLessThanOrEqual(size.height - size.bottom);
  });

  it('finds the quickest', () => {
    expect(quickest(sweep)).toBe(1);
  });
});
