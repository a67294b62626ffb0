/** Taps of a lap in the head: the first at the start line, the last at the line again. */
export interface Tapping {
  /** Moment of the tap at the line [ms], as the browser stamps its events. */
  begun: number;
  /** Seconds of the others since then. */
  taps_s: number[];
}

/** Two taps so near to each other are one: a bouncing key [s]. */
const BOUNCE_S = 0.15;

/** The taps with one more; a bounce is left out. */
export function tapped(before: Tapping | undefined, stamp: number): Tapping {
  if (!before) return { begun: stamp, taps_s: [] };
  const at = (stamp - before.begun) / 1000;
  const last = before.taps_s.at(-1) ?? 0;
  return at - last < BOUNCE_S ? before : { ...before, taps_s: [...before.taps_s, at] };
}

/** How a part ran: more than this off is worth a word. */
const LEAST = 0.06;

/** What a part of a lap in the head says. */
export function paceWords(imagined_s: number, reference_s: number): string {
  const by = imagined_s - reference_s;
  const share = by / reference_s;
  if (Math.abs(share) < LEAST) return 'as it is driven';
  return `${Math.abs(by).toFixed(1)} s ${by > 0 ? 'slow: something is searched' : 'fast: something is left out'}`;
}

/** A part of a lap in the head: what it ends at, how long it takes, how long it took. */
export interface TappedPart {
  corner: number;
  reference_s: number;
  imagined_s: number;
}

const SECTORS = 3;

/** Thirds of the lap, each ending at the tap that is nearest to it; fewer where there are few taps. */
export function sectorsOf(parts: readonly TappedPart[]): TappedPart[] {
  const total = parts.reduce((sum, p) => sum + p.reference_s, 0);
  const sectors: TappedPart[] = [];
  let open: TappedPart | undefined;
  let until = 0;
  parts.forEach((part, k) => {
    until += part.reference_s;
    open = {
      corner: part.corner,
      reference_s: (open?.reference_s ?? 0) + part.reference_s,
      imagined_s: (open?.imagined_s ?? 0) + part.imagined_s,
    };
    const end = ((sectors.length + 1) * total) / SECTORS;
    const next = parts[k + 1];
    const nearer = !next || Math.abs(until - end) <= Math.abs(until + next.reference_s - end);
    if (!next || (nearer && sectors.length < SECTORS - 1)) {
      sectors.push(open);
      open = undefined;
    }
  });
  return sectors;
}
