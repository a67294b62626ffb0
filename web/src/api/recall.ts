/** Questions on a book's pages. */

export type QuestionKind =
  'brake-mark' | 'gear' | 'turn-in-mark' | 'release' | 'kerbs' | 'throttle' | 'way-out';

export interface RecallQuestion {
  corner: number;
  kind: QuestionKind;
  /** Whether the page says something else than when it was learned. */
  changed: boolean;
  /** What it said then. */
  before?: string | null;
  /** Whether it was never asked. */
  fresh: boolean;
  due?: string | null;
}

export interface RecallRound {
  revision: number;
  questions: RecallQuestion[];
  /** Of all questions so many were right the last time. */
  known: number;
  all: number;
  /** Day on which something is asked again. */
  next?: string | null;
}
