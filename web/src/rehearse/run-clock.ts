/** Clock of a run: time in the lap that goes at a share of the real one, and can stand still. */
export interface RunClock {
  /** Time in the lap when it last started or stood [s]. */
  at_s: number;
  /** Moment since which it goes [ms], as the browser stamps its events; undefined while it stands. */
  since?: number;
  /** Share of the page’s speeds, 0.5 to 1. */
  share: number;
}

/** Time in the lap at a moment [s]. A stamp from before the start is the start. */
export function reads(clock: RunClock, stamp: number): number {
  if (clock.since === undefined) return clock.at_s;
  return clock.at_s + (Math.max(0, stamp - clock.since) / 1000) * clock.share;
}

export const started = (clock: RunClock, stamp: number): RunClock =>
  clock.since === undefined ? { ...clock, since: stamp } : clock;

export const stopped = (clock: RunClock, stamp: number): RunClock => ({
  ...clock,
  at_s: reads(clock, stamp),
  since: undefined,
});
