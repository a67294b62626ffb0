import type { CircuitPreview, ImportSettings, RecordedHeights } from './types';

/** Steepest grades, as "up to 4.2 % up and 3.1 % down". */
export function gradeWords({ steepestUp, steepestDown }: RecordedHeights): string {
  const percent = (grade: number) => `${(100 * grade).toFixed(1)} %`;
  return `up to ${percent(steepestUp)} up and ${percent(steepestDown)} down`;
}

/** Why heights are doubtful: "They jump by 1.9 m from point to point." */
export function doubtWords(
  { noiseM, gapM }: RecordedHeights,
  lengthText: (m: number) => string,
): string {
  const gap = Math.abs(gapM);
  // Of a gap that does not show to a decimal nothing is said; an open line has none.
  const after = gap >= 0.05 ? ` and are ${lengthText(gap)} off after one lap` : '';
  return `They jump by ${lengthText(noiseM)} from point to point${after}.`;
}

/** Whether it must still be said what to do with doubtful heights. */
export const heightsOpen = (preview: CircuitPreview, settings: ImportSettings): boolean =>
  preview.track?.heights?.doubtful === true && settings.level === undefined;
