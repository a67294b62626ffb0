import type { Schemas } from '../api/types';

/** A circuit, what is kept of it by hand, and what is walked and seen there. */

export type DrawnCorner = Schemas['DrawnCorner'];
export type WidthEdit = Schemas['WidthEdit'];
export type LimitStretch = Schemas['LimitStretch'];
export type CircuitEdits = Schemas['CircuitEdits'];
export type LayoutChange = Schemas['LayoutChange'];
export type VersionLine = Schemas['CircuitViewVersionLine'];
export type CircuitSummary = Schemas['CircuitsSummary'];
export type CircuitView = Schemas['CircuitView'];
export type ImportSettings = Schemas['BookImportSettings'];
export type RecordedHeights = Schemas['RecordedLineHeights'];
export type CircuitPreview = Schemas['CircuitPreview'];
export type LightView = Schemas['CircuitLightLightView'];
export type WalkItem = Schemas['ChecklistItem'];
export type WalkNote = Schemas['WalksNoteView'];
export type WalkView = Schemas['WalksWalkView'];
export type CheckLine = Schemas['LayoutMovesCheckLine'];
export type CarSummary = Schemas['CarsSummary'];
/** The columns of a table of points, and what each of them is taken for. */
export type RoadColumns = Schemas['CircuitColumns'];
