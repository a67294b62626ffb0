import { describe, expect, it } from 'vitest';

import type { CornerPage } from '../api/types';
import { marksWanted } from './marks-wanted';

const page = (corner: number, brake: object, cost?: number) =>
  ({
    corner,
    brake,
    stakes: cost === undefined ? undefined : { brake5mEarly_s: cost },
  }) as CornerPage;

describe('corners that most need a mark', () => {
  it('are those whose brake point nothing tells, the dearest first', () => {
    const pages = [
      page(1, { at_m: 100, target: { weak: true } }, 0.02),
      page(2, { at_m: 300, target: { weak: false } }, 0.09),
      page(3, { at_m: 500 }, 0.05),
      page(4, {}, 0.5),
      page(5, { at_m: 700, target: { weak: true, own: 'where the fence turns' } }, 0.5),
      page(6, { at_m: 900, target: { weak: true } }),
    ];
    expect(marksWanted(pages).map((p) => p.corner)).toEqual([3, 1, 6]);
  });
});
