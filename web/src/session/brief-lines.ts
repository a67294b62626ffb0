import type { Brief, StepView } from '../api/sessions';
import type { CornerPage } from '../api/types';
import { warningsOf } from '../page/annotations';

/** One corner of the brief: what is said, what is new, where caution is due. */
export interface BriefLine {
  corner: number;
  name: string;
  say: string;
  changed: string[];
  cautions: string[];
  /** What the driver does otherwise on the first laps, and on such a day. */
  days: string[];
  step?: StepView;
  focus: boolean;
}

/** The steps of points that are worked up to and not yet proven. */
export const openSteps = (steps: StepView[]) =>
  steps.filter((step) => !step.proven && (step.begun || !step.sure));

/** How far a step plan is, in words. */
export function stepWords(step: StepView): string {
  if (step.proven) return 'proven';
  if (!step.begun) return 'not begun';
  const laps = [
    step.inARow ? `, ${step.inARow} good` : '',
    step.misses ? `, ${step.misses} missed` : '',
  ];
  return `step ${step.step + 1} of ${step.steps_m.length}${laps.join('')}`;
}

/**
 * The brief in the order of the lap.
 *
 * @param news what is said of a page that differs from the revision before
 * @param limits what organisers' notices say of it in this session
 * @param wayOut where its driver goes if it goes wrong, in his own words
 * @param days what its driver does on other days that are told
 */
export function briefLines(
  brief: Brief,
  pages: CornerPage[],
  news: (page: CornerPage) => string[],
  days: (page: CornerPage) => string[] = () => [],
  limits: (page: CornerPage) => string[] = () => [],
  wayOut: (page: CornerPage) => string[] = () => [],
): BriefLine[] {
  return pages.map((page) => {
    const step = openSteps(brief.steps).find((s) => s.corner === page.corner && s.begun);
    return {
      corner: page.corner,
      name: page.name,
      say: sayOf(brief, page),
      changed: news(page),
      days: days(page),
      cautions: [
        ...warningsOf(page),
        ...limits(page),
        ...cautionsOf(brief, page.corner),
        ...wayOut(page),
      ],
      step,
      focus: brief.focus.some((f) => f.corner === page.corner),
    };
  });
}

/** The short form without the corner's name, which stands before it. */
function sayOf(brief: Brief, page: CornerPage): string {
  const words = brief.shortForm.find((s) => s.corner === page.corner)?.words ?? '';
  const said = words.slice(words.indexOf(': ') + 2);
  return said[0]?.toUpperCase() + said.slice(1);
}

function cautionsOf(brief: Brief, corner: number): string[] {
  const hazards = brief.hazards.filter((h) => h.corner === corner).map((h) => h.words);
  const sun = brief.intoTheSun.includes(corner) ? ['into a low sun'] : [];
  const check = brief.toCheck.some((c) => c.corner === corner) ? ['check the page first'] : [];
  return [...check, ...hazards, ...sun];
}
