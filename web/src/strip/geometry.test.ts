import { describe, expect, it } from 'vitest';
import { testPage, testTrace } from '../test-lap';
import { gearBlocks, limitBlocks, secondTicks, speedNotes } from './columns';
import { frameOf } from './frame';
import {
  bendTeeth,
  edgesAt,
  gradeChevrons,
  kerbPath,
  linePath,
  planPaths,
  roadPath,
  wedgePath,
} from './geometry';
import { breakLines, captions, dimensions, placedMarks } from './marks';
import { movedStation, placedPlates, platesOf } from './plates';
import { windowOf } from './window';
import { zoneShape } from './zones';

const trace = testTrace();
const page = testPage();
const frame = frameOf(trace, windowOf(page, trace), {
  width: 600,
  height: 700,
  left: 150,
  right: 200,
});
const numbers = (path: string) => path.match(/-?\d+(\.\d+)?/g)!.map(Number);

describe('the frame', () => {
  it('runs from the bottom up and has left on the left', () => {
    expect(frame.along(0)).toBeGreaterThan(frame.along(100));
    expect(frame.across(3)).toBeLessThan(frame.across(-3));
  });

  it('is true to scale along: equal metres are equal pixels', () => {
    const px = frame.along(0) - frame.along(50);
    expect(frame.along(100) - frame.along(150)).toBeCloseTo(px, 9);
  });

  it('keeps the road between the margins', () => {
    const xs = numbers(roadPath(frame)).filter((_, i) => i % 2 === 0);
    expect(Math.min(...xs)).toBeGreaterThanOrEqual(150);
    expect(Math.max(...xs)).toBeLessThanOrEqual(400);
    const edges = edgesAt(frame, 300);
    expect(edges.left).toBeCloseTo(frame.across(5), 6);
    expect(edges.right).toBeCloseTo(frame.across(-6), 6);
  });
});

describe('what is drawn on the road', () => {
  it('bends on the inside: a left-hander has its teeth on the left', () => {
    const teeth = bendTeeth(frame);
    expect(teeth.length).toBeGreaterThan(10);
    for (const tooth of teeth) {
      expect(tooth.x1).toBeLessThan(frame.across(5));
      expect(tooth.x2).toBeLessThan(tooth.x1);
    }
  });

  it('points uphill, the denser the steeper', () => {
    const gentle = gradeChevrons(frame);
    expect(gentle.every((c) => c.up)).toBe(true);
    const steep = frameOf({ ...trace, grade_pct: trace.grade_pct.map(() => -9) }, frame.window, {
      width: 600,
      height: 700,
      left: 150,
      right: 200,
    });
    expect(gradeChevrons(steep).length).toBeGreaterThan(2 * gentle.length);
    expect(gradeChevrons(steep)[0].up).toBe(false);
  });

  it('hangs brake pressure left of the line and the throttle right of it', () => {
    const brake = numbers(wedgePath(frame, 'brake')).filter((_, i) => i % 2 === 0);
    const drive = numbers(wedgePath(frame, 'drive')).filter((_, i) => i % 2 === 0);
    expect(Math.max(...brake)).toBeLessThan(frame.across(-3));
    expect(Math.min(...drive)).toBeGreaterThan(frame.across(3));
    expect(numbers(linePath(frame)).length).toBeGreaterThan(20);
  });

  it('has nothing where no pressure is', () => {
    const free = frameOf({ ...trace, brake_pct: trace.brake_pct.map(() => 0) }, frame.window, {
      width: 600,
      height: 700,
      left: 150,
      right: 200,
    });
    expect(wedgePath(free, 'brake')).toBe('');
  });

  it('shows kerbs outside of their edge and only where they are', () => {
    const kerb = {
      side: 'LEFT' as const,
      fromM: 300,
      toM: 340,
      profile: 'SERRATED' as const,
      heightMm: 40,
      widthM: 1,
      use: 'TYRE' as const,
      useWet: 'NONE' as const,
      note: '',
    };
    const xs = numbers(kerbPath(frame, kerb)).filter((_, i) => i % 2 === 0);
    expect(Math.max(...xs)).toBeLessThanOrEqual(frame.across(5));
    expect(kerbPath(frame, { ...kerb, fromM: 700, toM: 720 })).toBe('');
  });

  it('names zones in their middle', () => {
    const shape = zoneShape(frame, trace.zones[0])!;
    expect(shape.name).toBe('bump');
    expect(shape.y).toBeCloseTo(frame.along(237 - frame.window.from) + 4, 6);
    expect(zoneShape(frame, { ...trace.zones[0], fromM: 700, toM: 720 })).toBeUndefined();
  });
});

describe('the plan', () => {
  it('enters from below and keeps its shape', () => {
    const paths = planPaths(trace, 0, 500, 150);
    const [x0, y0] = paths.at(0);
    const [x1, y1] = paths.at(125);
    const [x2, y2] = paths.at(250);
    expect(y1).toBeLessThan(y0);
    // Equal arcs of a circle have equal chords.
    expect(Math.hypot(x1 - x0, y1 - y0)).toBeCloseTo(Math.hypot(x2 - x1, y2 - y1), 0);
    for (const value of numbers(paths.line)) {
      expect(value).toBeGreaterThanOrEqual(-1);
      expect(value).toBeLessThanOrEqual(151);
    }
  });
});

describe('marks and plates', () => {
  const marks = placedMarks(frame, page);

  it('shows the marks of the window, the spoken ones bold', () => {
    expect(marks.map((m) => m.mark.label)).toEqual(['100 board', 'old oak', 'footbridge']);
    expect(marks.map((m) => m.chosen)).toEqual([true, false, false]);
    expect(marks.map((m) => m.glyph)).toEqual(['board', 'tree', 'span']);
  });

  it('draws a dimension from the mark to the plate', () => {
    const [dim] = dimensions(frame, page);
    expect(dim.letter).toBe('B');
    expect(dim.yMark - dim.yPlate).toBeCloseTo(frame.along(0) - frame.along(10), 6);
  });

  it('writes captions that do not cover each other', () => {
    const words = captions(frame, marks, dimensions(frame, page), (m) => `${m} m`);
    expect(words.map((w) => w.lines.join(' '))).toContain('B 10 m past');
    const left = words.filter((w) => w.side === 'left').sort((a, b) => a.y - b.y);
    for (let i = 1; i < left.length; i++) {
      expect(left[i].y - left[i - 1].y).toBeGreaterThanOrEqual(13);
    }
  });

  it('breaks long names into short lines', () => {
    expect(breakLines('start of the long mill banner')).toEqual([
      'start of the',
      'long mill',
      'banner',
    ]);
    expect(breakLines('oak')).toEqual(['oak']);
  });

  it('has the plates in the order they are driven and leaves out what is not', () => {
    expect(platesOf(page).map((p) => p.letter)).toEqual(['B', 'T', 'R', 'A', 'D', 'F']);
    const flat = testPage({ brake: { style: 'none' }, trailBrake: undefined, throttle: {} });
    expect(platesOf(flat).map((p) => p.letter)).toEqual(['T', 'A']);
  });

  it('moves plates apart where their points crowd', () => {
    const placed = placedPlates(frame, page).sort((a, b) => a.shownY - b.shownY);
    for (let i = 1; i < placed.length; i++) {
      expect(placed[i].shownY - placed[i - 1].shownY).toBeGreaterThanOrEqual(25.9);
    }
  });

  it('shows a plate where the draft has it, the others where the page has them', () => {
    const y = (plates: ReturnType<typeof placedPlates>, letter: string) =>
      plates.find((p) => p.plate.letter === letter)!.y;
    const moved = placedPlates(frame, page, { 'brake.at_m': page.brake.at_m! + 10 });
    const still = placedPlates(frame, page);
    const pixels = frame.along(0) - frame.along(10);
    expect(y(still, 'B') - y(moved, 'B')).toBeCloseTo(pixels, 6);
    expect(y(moved, 'T')).toBe(y(still, 'T'));
  });

  it('moves a plate ahead and back by metres, no further than the strip shows', () => {
    const { from, length } = frame.window;
    expect(movedStation(frame, page.turnIn.at_m, 5)).toBeCloseTo(page.turnIn.at_m + 5, 6);
    expect(movedStation(frame, page.turnIn.at_m, -7.26)).toBeCloseTo(page.turnIn.at_m - 7.3, 6);
    expect(movedStation(frame, page.turnIn.at_m, 9999)).toBeCloseTo(from + length, 1);
    expect(movedStation(frame, page.turnIn.at_m, -9999)).toBeCloseTo(from, 1);
  });

  it('goes over the start line and round the lap', () => {
    const turnIn = { ...page.turnIn, at_m: 12 };
    const first = testPage({ turnIn, brake: { ...page.brake, at_m: 4 } });
    const size = { width: 600, height: 700, left: 150, right: 200 };
    const around = frameOf(trace, windowOf(first, trace), size);
    expect(movedStation(around, 4, -10)).toBeCloseTo(994, 6);
    expect(movedStation(around, 994, 10)).toBeCloseTo(4, 6);
  });
});

describe('the columns', () => {
  it('has a bar where an axle is the limit, and none for what is not seen', () => {
    const column = trace.limit.map((_, i) => {
      const s = 2 * i;
      return s >= 210 && s < 240 ? 2 : s >= 240 && s < 242 ? 3 : s >= 300 && s < 340 ? 1 : 0;
    });
    const bars = limitBlocks({ ...frame, trace: { ...trace, limit: column } });
    expect(bars.map((bar) => bar.by)).toEqual([2, 1]);
    const metres = (bar: { top: number; bottom: number }) =>
      frame.along.invert(bar.top) - frame.along.invert(bar.bottom);
    expect(metres(bars[0])).toBeCloseTo(30, 0);
    expect(metres(bars[1])).toBeCloseTo(40, 0);
  });

  it('stacks the gears as they are used', () => {
    const blocks = gearBlocks(frame);
    expect(blocks.map((b) => b.gear)).toEqual([5, 3, 4]);
    expect(blocks[0].bottom).toBeCloseTo(frame.along(0), 6);
    expect(blocks[1].bottom).toBeCloseTo(blocks[0].top, 0);
  });

  it('counts seconds from the brake point', () => {
    const ticks = secondTicks(frame, page);
    const zero = ticks.find((t) => t.seconds === 0)!;
    expect(zero.y).toBeCloseTo(frame.along(45), -1);
    expect(ticks.map((t) => t.seconds)).toEqual([-1, 0, 1, 2, 3, 4, 5, 6, 7, 8]);
  });

  it('reads the speeds where something happens, the lowest large', () => {
    const notes = speedNotes(frame, page);
    expect(notes.filter((n) => n.lowest)).toHaveLength(1);
    expect(notes).toHaveLength(5);
  });
});
