import type { Schemas } from './types';

/** Laps of a session, read against the page. */

export type Reading = Schemas['LapViewsReadingView'];
export type DrivenLap = Schemas['LapViewsLapView'];
export type LapKind = DrivenLap['kind'];
export type LapFile = Schemas['LapViewsFileView'];
export type LapPreview = Schemas['LapPreviewView'];
export type PreviewedLaps = NonNullable<LapPreview['read']>;
/** Column of the lap format by header; an empty text leaves a column out. */
export type Mapping = Record<string, string>;
/** How somebody names the columns of a file, and where its headers stand; 0 to find them. */
export interface Columns {
  mapping: Mapping;
  headerLine: number;
}
/** Whose laps a file has, and in what; both empty for the book's own. */
export type Whose = Schemas['DebriefDriverView'];
export type Surface = Debrief['surface'];
export type Dismissed = Schemas['LapNotesDismissed'];
export type Rule = Dismissed['rule'];
export type Finding = Schemas['LapViewsFindingView'];
/** What cost laps their time: findings over all of them, and each lap's accounts. */
export type Causes = Schemas['DebriefCausesView'];
export type LapAccounts = Schemas['LapViewsLapAccountsView'];
export type CornerAccount = Schemas['LapViewsAccountView'];
export type Guess = Schemas['LapNotesGuess'];
export type LapRemark = Schemas['LapNotesRemark'];
export type Debrief = Schemas['DebriefDebriefView'];
/** A lap at even stations of a stretch; null where a channel is missing. */
export type Along = Schemas['AlongView'];
/** A lap of the library of a circuit. */
export type LibraryLap = Schemas['LapPairLibraryLap'];
/** Two laps along the whole lap. */
export type LapPair = Schemas['LapPairPairView'];
/** What a lap would change on the pages of a book. */
export type LapValues = Schemas['LapPairLapValuesView'];
export type LapValue = LapValues['values'][number];
export type Proposal = Schemas['ReviewProposalView'];
export type ProposalKind = Proposal['kind'];
export type Calibration = Schemas['ReviewCalibrationView'];
/** The car as the laps of a session have it, value by value. */
export type CarOfLaps = Schemas['ReviewCarOfLapsView'];
export type CarValue = CarOfLaps['values'][number];
export type MovedStep = Schemas['ReviewMovedView'];
export type Review = Schemas['ReviewReviewView'];
export type HistoryEntry = Schemas['HistoryEntry'];
export type LiveState = Schemas['LiveLapsState'];
