/** A finger's place and when it was there [CSS px, ms]. */
export interface Touch {
  x: number;
  y: number;
  at_ms: number;
}

/** A flick is quick and goes across; a slow or upright one scrolls. Common practice of touch screens. */
const QUICK_MS = 300;
const LEAST_PX = 40;

/** Pages that a finger turned: 1 to the next (it went to the left), −1 back, 0 none. */
export function turnedBy(from: Touch, to: Touch): -1 | 0 | 1 {
  const across = to.x - from.x;
  const quick = to.at_ms - from.at_ms <= QUICK_MS;
  if (!quick || Math.abs(across) < LEAST_PX || Math.abs(across) < 2 * Math.abs(to.y - from.y))
    return 0;
  return across < 0 ? 1 : -1;
}
