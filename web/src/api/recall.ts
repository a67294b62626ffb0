/** Questions on a book's pages. */

export type QuestionKind =
  | 'brake-mark'
  | 'gear'
  | 'turn-in-mark'
  | 'release'
  | 'kerbs'
  | 'throttle'
  | 'in-the-wet'
  | 'way-out';

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

/** A lap in the head against the clock; corner 0 is the line. */
export interface ImaginedLap {
  id: string;
  at: string;
  revision: number;
  reference_s: number;
  imagined_s: number;
  parts: { corner: number; reference_s: number; imagined_s: number }[];
}

export interface StopwatchState {
  revision: number;
  /** What one taps at: each brake point, and the line at the end. */
  beats: { corner: number; at_s: number }[];
  laps: ImaginedLap[];
  /** Standard deviation of the last five laps. */
  scatter_s?: number | null;
}
