/** A value with what taking steps back and doing them again needs. Immutable. */
export interface Steps<T> {
  past: T[];
  now: T;
  future: T[];
}

/** So many steps can be taken back. */
const KEPT = 200;

export const begun = <T>(now: T): Steps<T> => ({ past: [], now, future: [] });

export function change<T>(steps: Steps<T>, next: T): Steps<T> {
  return { past: [...steps.past, steps.now].slice(-KEPT), now: next, future: [] };
}

/** Puts another value in the place of the last, as while something is still being moved. */
export function replace<T>(steps: Steps<T>, next: T): Steps<T> {
  return { ...steps, now: next, future: [] };
}

export function undo<T>(steps: Steps<T>): Steps<T> {
  const { past, now, future } = steps;
  if (past.length === 0) return steps;
  return { past: past.slice(0, -1), now: past[past.length - 1], future: [now, ...future] };
}

export function redo<T>(steps: Steps<T>): Steps<T> {
  const { past, now, future } = steps;
  if (future.length === 0) return steps;
  return { past: [...past, now], now: future[0], future: future.slice(1) };
}
