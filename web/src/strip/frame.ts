import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { getContext, setContext } from 'svelte';
import type { Trace } from '../api/types';
import { valueAt } from './lap-axis';
import { samples, type StripWindow } from './window';

/** What every part of a strip draws by: the window, the trace, and scales from metres to pixels. */
export interface StripFrame {
  trace: Trace;
  window: StripWindow;
  width: number;
  height: number;
  /** Metres from the window's begin to pixels; the begin is at the bottom. */
  along: ScaleLinear<number, number>;
  /** Offset from the centreline to pixels; left is left. */
  across: ScaleLinear<number, number>;
  /** Column of marks at either side, measured from the left [px]. */
  leftMargin: number;
  rightMargin: number;
  /** Where the column of gears begins, measured from the left [px]. */
  gears: number;
}

const KEY = Symbol('strip');
const MARGIN_M = 2.8;

export interface FrameSize {
  width: number;
  height: number;
  /** Room for the time column and the marks on the left [px]. */
  left: number;
  /** Room for marks, gears and speeds on the right [px]. */
  right: number;
  /** Of it, room for gears and speeds [px]. Default: 104. */
  columns?: number;
}

/** True to scale along; widened across so that half a metre can be seen. */
export function frameOf(trace: Trace, window: StripWindow, size: FrameSize): StripFrame {
  const widest =
    MARGIN_M +
    Math.max(
      ...samples(window, 10).flatMap((d) => [
        valueAt(trace, trace.left_m, window.from + d),
        valueAt(trace, trace.right_m, window.from + d),
      ]),
    );
  return {
    trace,
    window,
    width: size.width,
    height: size.height,
    along: scaleLinear([0, window.length], [size.height - 14, 18]),
    across: scaleLinear([widest, -widest], [size.left, size.width - size.right]),
    leftMargin: size.left,
    rightMargin: size.width - size.right,
    gears: size.width - (size.columns ?? 104),
  };
}

export const provideFrame = (frame: () => StripFrame) => setContext(KEY, frame);

/** The frame of the strip around; only inside one. */
export function useFrame(): () => StripFrame {
  const frame = getContext<(() => StripFrame) | undefined>(KEY);
  if (!frame) throw new Error('useFrame() outside of a Strip');
  return frame;
}
