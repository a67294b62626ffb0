import type { CornerPage, Mark, MarkReference } from '../api/types';
import type { StripFrame } from './frame';
import { spread } from './labels';
import { overlap, place } from './window';
import { platesOf, type Plate } from './plates';

/** A mark as it stands beside, over or on the strip. */
export interface PlacedMark {
  mark: Mark;
  /** Height of its begin and end [px]. */
  y: number;
  yEnd: number;
  /** Whether a point of the page speaks of it. */
  chosen: boolean;
  glyph: Glyph;
}

export type Glyph = 'board' | 'post' | 'tree' | 'house' | 'span' | 'length' | 'road' | 'sign';

const GLYPHS: Record<string, Glyph> = {
  DISTANCE_BOARD: 'board',
  MARSHAL_POST: 'post',
  LAMP: 'post',
  SIGNAL_LIGHT: 'post',
  CONE: 'post',
  TREE: 'tree',
  BUSH: 'tree',
  BUILDING: 'house',
  BRIDGE: 'span',
  SIGN: 'sign',
  BANNER: 'length',
  PAINT_LINE: 'road',
  CREST: 'road',
  DRAIN: 'road',
  PATCH: 'road',
  SURFACE_CHANGE: 'road',
  SHADOW: 'road',
  RUBBER: 'road',
};

/** The marks of a window, with those that the page speaks of. */
export function placedMarks(frame: StripFrame, page: CornerPage): PlacedMark[] {
  return marksInWindow(
    frame,
    new Set(
      [page.brake.target, page.brake.safe, page.turnIn.target].filter(Boolean).map((r) => r!.mark),
    ),
  );
}

/** The marks of a window; those whose labels are in `spoken` stand out. */
export function marksInWindow(frame: StripFrame, spoken: ReadonlySet<string>): PlacedMark[] {
  return frame.trace.marks.flatMap((mark) => {
    const part = overlap(frame.window, frame.trace, mark.fromM, mark.toM);
    if (!part) return [];
    return [
      {
        mark,
        y: frame.along(part[0]),
        yEnd: frame.along(part[1]),
        chosen: spoken.has(mark.label),
        glyph: mark.side === 'OVER' ? 'span' : mark.side === 'ROAD' ? 'road' : glyphOf(mark),
      },
    ];
  });
}

function glyphOf(mark: Mark): Glyph {
  return mark.toM > mark.fromM ? 'length' : (GLYPHS[mark.type] ?? 'sign');
}

/** A dimension line from a plate to the mark that it is told by. */
export interface Dimension {
  letter: string;
  side: 'left' | 'right';
  /** Height of the plate and of the mark [px]. */
  yPlate: number;
  yMark: number;
  /** Metres past the mark. */
  offsetM: number;
}

export function dimensions(frame: StripFrame, page: CornerPage): Dimension[] {
  return platesOf(page).flatMap((plate) => {
    const reference = plate.mark;
    const d = place(frame.window, frame.trace, plate.station);
    if (!reference || reference.weak || d === undefined) return [];
    return [dimension(frame, plate, reference, d)];
  });
}

function dimension(
  frame: StripFrame,
  plate: Plate,
  reference: MarkReference,
  d: number,
): Dimension {
  return {
    letter: plate.letter,
    side: reference.side === 'right' ? 'right' : 'left',
    yPlate: frame.along(d),
    yMark: frame.along(d - reference.offset_m),
    offsetM: reference.offset_m,
  };
}

/** Words beside the strip, already moved apart. */
export interface Caption {
  key: string;
  lines: string[];
  side: 'left' | 'right';
  /** Middle of what it belongs to, and of the words themselves [px]. */
  from: number;
  y: number;
  strong: boolean;
}

const LINE_PX = 13;
const LONGEST = 13;

/** Breaks a label into at most three short lines. */
export function breakLines(text: string): string[] {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const last = lines[lines.length - 1];
    if (last !== undefined && (`${last} ${word}`.length <= LONGEST || lines.length === 3)) {
      lines[lines.length - 1] = `${last} ${word}`;
    } else {
      lines.push(word);
    }
  }
  return lines;
}

/** Captions of marks and dimensions, those of a side moved apart. */
export function captions(
  frame: StripFrame,
  marks: PlacedMark[],
  dims: Dimension[],
  lengthText: (metres: number) => string,
): Caption[] {
  const all = [
    ...marks
      .filter((m) => m.glyph !== 'board' || m.mark.valueM == null)
      .map((m, i) => ({
        key: `m${i}`,
        lines: breakLines(m.mark.label),
        side: m.mark.side === 'RIGHT' ? ('right' as const) : ('left' as const),
        from: (m.y + m.yEnd) / 2,
        strong: m.chosen,
      })),
    ...dims
      .filter((d) => Math.abs(d.offsetM) >= 2.5)
      .map((d) => ({
        key: `d${d.letter}`,
        lines: [
          `${d.letter} ${lengthText(Math.abs(d.offsetM))} ${d.offsetM > 0 ? 'past' : 'before'}`,
        ],
        side: d.side,
        from: (d.yPlate + d.yMark) / 2,
        strong: true,
      })),
  ];
  return (['left', 'right'] as const).flatMap((side) => {
    const here = all.filter((c) => c.side === side);
    const wanted = here.map((c) => ({ wanted: c.from, height: c.lines.length * LINE_PX + 4 }));
    const middles = spread(wanted, 4, frame.height - 4);
    return here.map((c, i) => ({ ...c, y: middles[i] }));
  });
}
