import type { BriefLine } from '../session/brief-lines';

/** A thing to say aloud before it is shown. */
export interface BeforeCard {
  kind: 'focus' | 'changed';
  corner: number;
  name: string;
  /** What is to be said. */
  ask: string;
  /** What stands on the page, or what became of it; a line each. */
  answer: string[];
}

/** The cards of the last ten minutes: three corners to work on, then what is new. */
export function beforeCards(lines: readonly BriefLine[]): BeforeCard[] {
  const focus = lines
    .filter((line) => line.focus)
    .map((line): BeforeCard => {
      const { corner, name } = line;
      return {
        kind: 'focus',
        corner,
        name,
        ask: 'Say the corner aloud.',
        answer: [line.say, ...line.days],
      };
    });
  const changed = lines
    .filter((line) => line.changed.length)
    .map((line): BeforeCard => {
      const { corner, name } = line;
      const ask = 'What is new here since the last time?';
      return { kind: 'changed', corner, name, ask, answer: line.changed };
    });
  return [...focus, ...changed];
}

const isDanger = (line: BriefLine) => line.cautions[0].startsWith('danger');

/** What stands in the way, corner by corner; where there is danger first. */
export const cautionLines = (lines: readonly BriefLine[]) =>
  lines
    .filter((line) => line.cautions.length)
    .sort((a, b) => Number(isDanger(b)) - Number(isDanger(a)));

/** Minutes and seconds that are left. */
export function leftWords(seconds: number): string {
  const left = Math.max(0, Math.ceil(seconds));
  return `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`;
}
