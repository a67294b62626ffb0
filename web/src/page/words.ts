import type { CornerPage, KerbUse, MarkReference, TraceCorner } from '../api/types';

const AT_THE_MARK_M = 2.5;

/**
 * A point told by its mark, in the driver's units.
 *
 * @param lengthText writes metres with their unit
 */
export function markWords(reference: MarkReference, lengthText: (m: number) => string): string {
  const { thing } = reference;
  if (Math.abs(reference.offset_m) < AT_THE_MARK_M) {
    return `${reference.side === 'over' ? 'under' : 'at'} ${thing}`;
  }
  const side = reference.offset_m > 0 ? 'past' : 'before';
  return `${lengthText(Math.abs(reference.offset_m))} ${side} ${thing}`;
}

/** What the brake foot does first. */
export const BRAKE_STYLE: Record<CornerPage['brake']['style'], string> = {
  hard: 'hard at once',
  squeeze: 'squeezed on',
  dab: 'a dab',
  lift: 'no brake: lift',
  none: 'no brake, flat',
};

export const KERB_USE: Record<KerbUse, string> = {
  none: 'leave it',
  touch: 'touch it',
  tyre: 'one tyre',
  'half-car': 'half the car',
  full: 'the whole car',
};

/** The gears between, "5 · 4 · 3"; empty where nothing is skipped or changed. */
export function gearsBetween(gears: CornerPage['gears']): string {
  const { approach, corner } = gears;
  const count = Math.max(0, approach - corner - 1);
  return Array.from({ length: count }, (_, i) => approach - 1 - i).join(' · ');
}

/** "right, 118°, hairpin, 4 % downhill". */
export function describe(corner: TraceCorner, lengthText: (m: number) => string): string {
  const parts = [
    `${corner.direction.toLowerCase()} ${Math.round(Math.abs(corner.angleDeg))}°`,
    corner.kind.toLowerCase().replaceAll('_', ' '),
    `tightest ${lengthText(corner.tightestRadiusM)}`,
  ];
  if (Math.abs(corner.gradePct) >= 1) {
    parts.push(
      `${Math.abs(corner.gradePct).toFixed(0)} % ${corner.gradePct > 0 ? 'uphill' : 'downhill'}`,
    );
  }
  // Banking comes in the corner's own sense: positive helps.
  if (Math.abs(corner.bankingDeg) >= 0.8) {
    const kind = corner.bankingDeg > 0 ? 'banked' : 'off-camber';
    parts.push(`${kind} ${Math.abs(corner.bankingDeg).toFixed(0)}°`);
  }
  return parts.join(' · ');
}
