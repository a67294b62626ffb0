import type { Schemas } from './types';

/** Laps of a session, read against the page. */

export type Reading = Schemas['LapViewsReadingView'];
export type DrivenLap = Schemas['LapViewsLapView'];
export type LapKind = DrivenLap['kind'];
export type LapFile = Schemas['LapViewsFileView'];
export type LapPreview = Schemas['LapPreviewView'];
/** Column of the lap format by header; an empty text leaves a column out. */
export type Mapping = Record<string, string>;
export type Dismissed = Schemas['LapNotesDismissed'];
export type Rule = Dismissed['rule'];
export type Finding = Schemas['LapViewsFindingView'];
export type LapRemark = Schemas['LapNotesRemark'];
export type Debrief = Schemas['DebriefDebriefView'];
/** A lap at even stations of a stretch; null where a channel is missing. */
export type Along = Schemas['DebriefAlongView'];
export type Proposal = Schemas['ReviewProposalView'];
export type ProposalKind = Proposal['kind'];
export type Calibration = Schemas['ReviewCalibrationView'];
export type MovedStep = Schemas['ReviewMovedView'];
export type Review = Schemas['ReviewReviewView'];
export type HistoryEntry = Schemas['HistoryEntry'];
export type LiveState = Schemas['LiveLapsState'];
