import { describe, expect, it } from 'vitest';
import type { Brief, StepView } from '../api/sessions';
import { testPage } from '../test-lap';
import { briefLines, openSteps, stepWords } from './brief-lines';

const step = (changes: Partial<StepView>) =>
  ({ corner: 1, begun: true, proven: false, sure: false, ...changes }) as StepView;
const brief = {
  tenSeconds: '',
  coldSides: [],
  quiet: [],
  shortForm: [{ corner: 1, words: 'Mill: 10 past the 100 board, third, late apex.' }],
  focus: [{ corner: 1 }],
  hazards: [{ corner: 1, words: 'tyre wall on the right', distance_m: 8 }],
  intoTheSun: [1],
  toCheck: [],
  steps: [step({})],
} as unknown as Brief;

describe('the brief', () => {
  it('says each corner in the order of the lap, with what is new and where caution is due', () => {
    const [line] = briefLines(brief, [testPage()], () => ['brake 9 m earlier']);
    expect(line.say).toBe('10 past the 100 board, third, late apex.');
    expect(line.changed).toEqual(['brake 9 m earlier']);
    expect(line.cautions).toEqual(['tyre wall on the right', 'into a low sun']);
    expect(line.focus).toBe(true);
    expect(line.step?.corner).toBe(1);
  });

  it('leaves proven points and pages that the driver calls known alone', () => {
    const steps = [step({ proven: true }), step({ begun: false, sure: true }), step({})];
    expect(openSteps(steps)).toHaveLength(1);
  });

  it('says how far a step plan is', () => {
    const plan = { step: 1, steps_m: [700, 705, 710], inARow: 2, misses: 1 };
    expect(stepWords(step(plan))).toBe('step 2 of 3, 2 good, 1 missed');
    expect(stepWords(step({ ...plan, inARow: 0, misses: 0 }))).toBe('step 2 of 3');
    expect(stepWords(step({ ...plan, begun: false }))).toBe('not begun');
    expect(stepWords(step({ ...plan, proven: true }))).toBe('proven');
  });
});
