import type { StepView } from '../api/sessions';
import type { Trace } from '../api/types';
import { between } from '../strip/lap-axis';

/** A rung of the way from the safe mark to the target. */
export interface Rung {
  /** From the safe mark [px]. */
  x: number;
  /** Metres short of the target; of the target itself 0. */
  metres: number;
}

const LEAST_PX = 24;

/**
 * The steps of a plan, true to scale unless they would touch; then all as far apart.
 *
 * @param width room for them [px]
 */
export function ladder(
  step: Pick<StepView, 'steps_m'>,
  trace: Pick<Trace, 'length_m' | 'closed'>,
  width: number,
): Rung[] {
  const first = step.steps_m[0];
  const last = step.steps_m[step.steps_m.length - 1];
  const whole = between(trace, first, last);
  const rungs = step.steps_m.map((s) => ({
    x: whole > 0 ? (width * between(trace, first, s)) / whole : 0,
    metres: Math.round(between(trace, s, last)),
  }));
  const close = rungs.some((rung, i) => i > 0 && rung.x - rungs[i - 1].x < LEAST_PX);
  if (!close) return rungs;
  return rungs.map((rung, i) => ({ ...rung, x: (width * i) / Math.max(1, rungs.length - 1) }));
}
