import type { components, operations } from './schema';

/** What the server takes and answers, from its own description. SI units; see the book format. */
export type Schemas = components['schemas'];

export type Source = Schemas['BookSource'];
export type KerbUse = Schemas['BookKerbUse'];
export type MarkReference = Schemas['BookMark'];
export type Edge = Schemas['BookEdge'];
/** A place that only a driver gives. */
export type OwnPoint = Schemas['BookOwnPoint'];
export type Stakes = Schemas['BookStakes'];
export type Driven = Schemas['BookDriven'];
export type CornerPage = Schemas['BookPage'];
/** What holds a car back in each phase of a corner. */
export type PhaseLimits = NonNullable<CornerPage['limiting']>;
export type Limiting = NonNullable<PhaseLimits['entry']>;
export type Direction = CornerPage['direction'];
export type Conditions = Schemas['BookConditions'];
export type SurfacePart = Schemas['BookSurfacePart'];
export type Press = Schemas['BookPress'];
export type Phase = Schemas['BookPhase'];
export type GearChange = Schemas['BookGearChange'];
export type Feet = Schemas['BookFeet'];
export type GivesWay = Schemas['BookGivesWay'];
export type PagePoint = Schemas['BookPagePoint'];
/** How a thing tells a point. */
export type By = Schemas['BookBy'];
export type Told = Schemas['BookTold'];
export type Gate = Schemas['BookGate'];
export type GateKind = Schemas['BookGateKind'];
export type PointNote = Schemas['BookPointNote'];
/** Own values of one kind of day, and of all of them. */
export type Variant = Schemas['BookVariant'];
export type Variants = Schemas['BookVariants'];
export type OwnValues = Schemas['BookOwnValues'];
export type OwnField = Exclude<keyof OwnValues, 'corner' | 'source' | 'measured'>;
export type LineChoice = Schemas['BookLine'];
export type Revision = Schemas['BookRevision'];
export type TraceCorner = Schemas['Corner'];
export type Mark = Schemas['Mark'];
export type Kerb = Schemas['Kerb'];
export type Zone = Schemas['Zone'];
export type Hazard = Schemas['Hazard'];
export type Remark = Schemas['Remark'];
/** The road, one value every step_m. */
export type RoadColumns = Schemas['CircuitViewRoadColumns'];
/** Something that the server says: which sentence, and the facts in it, numbers in SI units. */
export type Sentence = Schemas['BookSentence'];
/** Columns along the lap, one value every step_m. */
export type Trace = Schemas['Trace'];
export type View = Schemas['ViewsTried'];
/** What a draft changes of the view of its parent. */
export type Change = Schemas['ViewsChanged'];
export type BookView = Schemas['BooksBookView'];
export type RevisionLine = Schemas['BooksRevisionLine'];
/** What a revision is computed from; kept and tried out on top of its parent. */
export interface Draft {
  parent: number;
  conditions: Conditions;
  line: LineChoice;
  /** Of a line of one's own. */
  lineOffsets_m?: number[];
  ownValues: OwnValues[];
  setup?: Schemas['BookSetup'];
}
/** A line made of what was recorded, with what was made of it. */
export type TracedLine = Schemas['OwnLinesTraced'];
export type JobView = Schemas['JobView'];
/** RFC 9457 problem details. */
export type Problem = Schemas['Problem'];
export type WalkNoteParts = NonNullable<
  operations['noteOnWalk']['requestBody']
>['content']['multipart/form-data'];
