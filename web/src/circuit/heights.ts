import type { CircuitPreview, ImportSettings, RecordedHeights } from './types';

/** Steepest grades, as "up to 4.2 % up and 3.1 % down". */
export function gradeWords({ steepestUp, steepestDown }: RecordedHeights): string {
  const percent = (grade: number) => `${(100 * grade).toFixed(1)} %`;
  return `up to ${percent(steepestUp)} up and ${percent(steepestDown)} down`;
}

/** Whether it must still be said what to do with doubtful heights. */
export const heightsOpen = (preview: CircuitPreview, settings: ImportSettings): boolean =>
  preview.track?.heights?.doubtful === true && settings.level === undefined;
