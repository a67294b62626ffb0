/** Laps of a session, read against the page. SI units. */

export interface Reading {
  corner: number;
  brakeOn_m?: number | null;
  brakePeak_pct?: number | null;
  brakeAtTurnIn_pct?: number | null;
  release_m?: number | null;
  lockSuspected?: boolean | null;
  turnIn_m?: number | null;
  lowestSpeed_mps?: number | null;
  lowestSpeed_m?: number | null;
  gear?: number | null;
  firstThrottle_m?: number | null;
  fullThrottle_m?: number | null;
  coasting_s?: number | null;
  throttlePickUps?: number | null;
  lift_pct?: number | null;
  upshifts?: number | null;
  inside_m?: number | null;
  insideAt_m?: number | null;
  outside_m?: number | null;
  corrections?: number | null;
  exitSpeed_mps?: number | null;
  time_s?: number | null;
  /** Slower than the page. */
  delta_s?: number | null;
  /** Part of it that the corner before is to blame for. */
  brought_s?: number | null;
  /** What this corner is to blame for. */
  charged_s?: number | null;
}

export type LapKind = 'out' | 'flying' | 'off' | 'in';

export interface DrivenLap {
  /** Of the file, and the lap's number in it. */
  id: string;
  file: string;
  number: number;
  kind: LapKind;
  /** The kind before somebody said otherwise. */
  recognised: LapKind;
  /** Whether it was recorded from line to line. */
  whole: boolean;
  time_s?: number | null;
  corners: Reading[];
}

export interface LapFile {
  id: string;
  name: string;
  samples: number;
  used: string[];
  unknown: string[];
  corrections: string[];
  /** What it has no channel for, in words. */
  missing: string[];
}

/** Columns of a file before it is brought in. */
export interface LapPreview {
  columns: {
    header: string;
    /** Column of the lap format that it is taken for. */
    is?: string | null;
    first: string[];
    least?: number | null;
    most?: number | null;
  }[];
  missing: string[];
  remembered: boolean;
  choices: string[];
}

/** Column of the lap format by header; an empty text leaves a column out. */
export type Mapping = Record<string, string>;

export type Rule =
  | 'braked-early'
  | 'braked-late'
  | 'over-slowed'
  | 'turned-in-early'
  | 'released-early'
  | 'held-too-long'
  | 'coasting'
  | 'missed-apex'
  | 'early-apex'
  | 'late-throttle'
  | 'early-throttle-lifted'
  | 'throttle-twice'
  | 'other-gear'
  | 'short-shift'
  | 'inconsistent';

export interface Dismissed {
  id: string;
  corner: number;
  rule: Rule;
  reason: string;
  laps: string[];
}

/** Something that several laps did in a corner against its page; the amount by the rule, SI. */
export interface Finding {
  corner: number;
  rule: Rule;
  amount: number;
  /** Ids of the laps that show it. */
  laps: string[];
  of: number;
  cost_s?: number | null;
  sizedBy?: 'model' | 'laps' | null;
  /** Part of the corner's loss that is lost in the next one. */
  inNext_s?: number | null;
  dismissed?: Dismissed | null;
}

export interface LapRemark {
  id: string;
  corner?: number | null;
  lap?: string | null;
  author: 'DRIVER' | 'COACH';
  words: string;
}

export interface Debrief {
  revision: number;
  lap_s: number;
  /** The page's own lap, read the way the driven ones are. */
  page: Reading[];
  laps: DrivenLap[];
  findings: Finding[];
  remarks: LapRemark[];
  files: LapFile[];
}

/** A lap at even stations of a stretch; null where a channel is missing. */
export interface Along {
  from_m: number;
  step_m: number;
  time_s: (number | null)[];
  speed_mps: (number | null)[];
  brake_pct: (number | null)[];
  throttle_pct: (number | null)[];
  gear: (number | null)[];
  offset_m: (number | null)[];
}

export type ProposalKind =
  | 'marker-earlier'
  | 'marker-later'
  | 'gear'
  | 'release'
  | 'apex-speed'
  | 'throttle'
  | 'proven'
  | 'confidence-up'
  | 'confidence-down';

/** A change of a page that laps speak for. */
export interface Proposal {
  corner: number;
  kind: ProposalKind;
  field?: string | null;
  before?: number | null;
  after: number;
  count: number;
  laps: string[];
  /** A lap, against how it is driven now. */
  gain_s?: number | null;
  /** By how much the page's lap becomes slower. */
  page_s?: number | null;
}

export interface Calibration {
  gripUsedBefore: number;
  gripUsed: number;
  gripFactor: number;
  peak_g: number;
  peakPage_g: number;
  top_mps: number;
  topPage_mps: number;
  cdABefore_m2: number;
  cdA_m2?: number | null;
  lap_s: number;
  calibratedLap_s: number;
}

/** A step plan that the laps move. */
export interface MovedStep {
  corner: number;
  made: number;
  missed: number;
  stepBefore: number;
  step: number;
  steps: number;
  proven: boolean;
}

export interface Review {
  revision: number;
  newest: number;
  /** Version of the layout that the book is on, where the laps were driven on another. */
  bookOnLayout?: number | null;
  proposals: Proposal[];
  calibration?: Calibration | null;
  steps: MovedStep[];
  stepsNoted: boolean;
}

/** A corner in a session, in the middle of the laps that count. */
export interface HistoryEntry {
  session: string;
  name: string;
  begins: string;
  surface: string;
  revision: number;
  laps: number;
  brake_m?: number | null;
  brakeSpread_m?: number | null;
  page_m?: number | null;
  lowest_mps?: number | null;
  time_s?: number | null;
  lost_s?: number | null;
  page_s?: number | null;
  /** Of the lap, as the brief set it from what was driven until then. */
  target_s: number;
  /** The corner’s share of it. */
  targetCorner_s?: number | null;
  /** Null in a session that is still to be driven. */
  lap_s?: number | null;
}

/** A logger that writes while it is driven. */
export interface LiveState {
  running: boolean;
  rows: number;
  laps: number;
  problem?: string | null;
}
