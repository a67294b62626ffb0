/** A value with what undo and redo need. Immutable. */
export interface Steps<T> {
  past: T[];
  now: T;
  future: T[];
}

/** So many steps can be taken back. */
const KEPT = 200;

export const begun = <T>(now: T): Steps<T> => ({ past: [], now, future: [] });

export function stepped<T>(steps: Steps<T>, next: T): Steps<T> {
  return { past: [...steps.past, steps.now].slice(-KEPT), now: next, future: [] };
}

export function back<T>(steps: Steps<T>): Steps<T> {
  if (steps.past.length === 0) return steps;
  return {
    past: steps.past.slice(0, -1),
    now: steps.past[steps.past.length - 1],
    future: [steps.now, ...steps.future],
  };
}

export function forward<T>(steps: Steps<T>): Steps<T> {
  if (steps.future.length === 0) return steps;
  return {
    past: [...steps.past, steps.now],
    now: steps.future[0],
    future: steps.future.slice(1),
  };
}
