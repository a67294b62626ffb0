import type { Schemas } from './types';

/** Questions on a book's pages, and laps in the head. */

export type RecallQuestion = Schemas['RecallQuestionView'];
export type QuestionKind = RecallQuestion['kind'];
export type RecallRound = Schemas['RecallRoundView'];
export type ImaginedLap = Schemas['StopwatchLapView'];
export type StopwatchState = Schemas['StopwatchStopwatchView'];
