/** What the server answers, as far as the generated client leaves it open. SI units; see the book format. */

import type { School, SetupSheet } from './answers';

export type Source = 'model' | 'measured' | 'driver' | 'coach';
export type Direction = 'left' | 'right';
export type KerbUse = 'none' | 'touch' | 'tyre' | 'half-car' | 'full';

export interface MarkReference {
  mark: string;
  type?: string;
  side: 'left' | 'right' | 'over' | 'road';
  /** Metres past the mark, before it negative. */
  offset_m: number;
  /** The mark itself in words, without metres. */
  thing: string;
  /** The whole words where the point is at the mark. */
  near?: string;
  /** The whole words, in metres. */
  text: string;
  /** A count of time where nothing that stands can be seen. */
  weak?: boolean;
  /** The driver's own wording. */
  own?: string;
  cautions?: string[];
}

/** What lies beyond the white line at a place, and how far the rule lets the body out there. */
export interface Edge {
  allowed_m?: number;
  kerb?: string;
  kerbHeight_mm?: number;
  kerbWidth_m?: number;
  use?: KerbUse;
  useWet?: KerbUse;
}

export interface Stakes {
  brake5mEarly_s?: number;
  apex2kmhSlower_s?: number;
  throttle10mLate_s?: number;
  apexHalfMetreOff_s?: number;
  exit1kmhSlower_s?: number;
}

/** What comes of driving a page as it is written. */
export interface Driven {
  made: boolean;
  /** Share of the tyres' grip that is asked for at most; 1 at the limit. */
  gripNeeded: number;
  gripAt_m: number;
  wide_m: number;
  wideAt_m?: number;
  beyond_m: number;
  beyondAt_m?: number;
  locked_m: number;
  lockedAt_m?: number;
  spun_m: number;
  spunAt_m?: number;
  /** Brake point that was found for the driver's own pressures. */
  brakeFound_m?: number;
}

export interface CornerPage {
  corner: number;
  name: string;
  direction: Direction;
  from_m: number;
  to_m: number;
  approach: { offset_m: number; speed_mps: number };
  brake: {
    at_m?: number;
    initial_pct?: number;
    style: 'hard' | 'squeeze' | 'dab' | 'lift' | 'none';
    target?: MarkReference;
    safe?: MarkReference;
    choices?: MarkReference[];
  };
  gears: { approach: number; corner: number; downshifts_m: number[] };
  turnIn: { at_m: number; speed_mps: number; target?: MarkReference; choices?: MarkReference[] };
  trailBrake?: { atTurnIn_pct: number; half_pct: number; nearApex_pct: number; release_m: number };
  apexes: { at_m: number; offset_m: number; kind: 'early' | 'mid' | 'late'; speed_mps: number }[];
  kerbs: { entry: KerbUse; apex: KerbUse; exit: KerbUse };
  limits?: { rule: string; entry: Edge; apex: Edge; exit: Edge };
  throttle: { first_m?: number; first_pct?: number; full_m?: number };
  exit: { trackOut_m: number; offset_m: number; speed_mps: number };
  time_s: number;
  /** Seconds a lap that the usual slips cost here; what cannot be slipped is absent. */
  stakes?: Stakes;
  lowest: { at_m: number; speed_mps: number };
  driven?: Driven;
  /** The way through that is driven in place of the book's line. */
  line?: School;
  /** Largest lean of a motorcycle. */
  lean_deg?: number;
  sources: Record<string, Source>;
  confidence?: number;
  notes: string;
  wayOut: string;
}

export interface Conditions {
  surface: 'dry' | 'damp' | 'wet';
  /** Parts of the lap whose surface is another than the rest's. */
  parts?: SurfacePart[];
  tyres: 'cold' | 'warm' | 'worn';
  /** Which lap on cold tyres; the first without it. */
  coldLap?: number;
  /** How worn worn tyres are: 1 at the end of their good laps. */
  wear?: number;
  gripUsed: number;
  fuel_kg: number;
  pedalChange_s: number;
  brakeBuildUp_s: number;
  airTemperature_c: number;
  trackTemperature_c?: number;
  pressure_hpa: number;
  windSpeed_mps: number;
  windFrom_deg: number;
  humidity_pct: number;
  /** Date and hour on the circuit's own clocks. */
  at?: string;
  /** Kept from the white line by the line that is searched. */
  margin_m?: number;
  /** Share of the downforce that is left behind another car. */
  airShare?: number;
}

export interface SurfacePart {
  from_m: number;
  to_m: number;
  surface: Conditions['surface'];
}

/** Own values of one corner, by the names of the format; what is absent is the model's. */
export interface OwnValues {
  corner: number;
  line?: School;
  'brake.at_m'?: number;
  'brake.initial_pct'?: number;
  'gears.corner'?: number;
  'turnIn.at_m'?: number;
  'trailBrake.atTurnIn_pct'?: number;
  'trailBrake.release_m'?: number;
  'apexes.speed_mps'?: number;
  'apexes.offset_m'?: number;
  'kerbs.apex'?: KerbUse;
  'kerbs.exit'?: KerbUse;
  'throttle.first_m'?: number;
  'throttle.full_m'?: number;
  'brake.mark'?: string;
  'brake.words'?: string;
  'turnIn.mark'?: string;
  'turnIn.words'?: string;
  confidence?: number;
  notes?: string;
  wayOut?: string;
  source?: Source;
  /** Names of the laps that values were measured in, by field. */
  measured?: Record<string, string[]>;
}

export type OwnField = Exclude<keyof OwnValues, 'corner' | 'source' | 'measured'>;

export type LineChoice = 'smooth' | 'fastest' | 'centreline';

export interface Revision {
  number: number;
  parent: number | null;
  createdAt: string;
  reason: string;
  conditions: Conditions;
  line: LineChoice;
  setup?: SetupSheet;
  lap: {
    time_s: number;
    topSpeed_mps: number;
    curvatureSquared_perM: number;
    modelTime_s?: number;
  };
  ownValues?: OwnValues[];
  pages: CornerPage[];
}

export interface TraceCorner {
  number: number;
  name: string;
  direction: 'LEFT' | 'RIGHT';
  fromM: number;
  toM: number;
  lengthM: number;
  angleDeg: number;
  tightestRadiusM: number;
  gradePct: number;
  bankingDeg: number;
  vertical: number;
  linkWithNext: boolean;
  kind: string;
}

export interface Mark {
  label: string;
  type: string;
  side: 'LEFT' | 'RIGHT' | 'OVER' | 'ROAD';
  fromM: number;
  toM: number;
  offsetM: number;
  valueM?: number | null;
  heightM?: number | null;
  note: string;
  /** When it was seen where it is told to be; of what moves with the sun. */
  notedAt?: string | null;
}

export interface Kerb {
  side: 'LEFT' | 'RIGHT';
  fromM: number;
  toM: number;
  profile: 'FLAT' | 'RAMP' | 'CROWNED' | 'SERRATED' | 'SAUSAGE';
  heightMm: number;
  widthM: number;
  use?: string;
  useWet?: string;
  note: string;
}

export interface Zone {
  type: string;
  side: string;
  fromM: number;
  toM: number;
  gripFactor?: number;
  note: string;
}

export interface Hazard {
  type: string;
  side: 'LEFT' | 'RIGHT';
  fromM: number;
  toM: number;
  distanceM: number;
  note?: string;
}

export interface Remark {
  corner: number;
  field: string;
  text: string;
}

/** The road, one value every step_m. */
export interface RoadColumns {
  step_m: number;
  length_m: number;
  closed: boolean;
  x_m: number[];
  y_m: number[];
  z_m: number[];
  curvature_perM: number[];
  left_m: number[];
  right_m: number[];
  grade_pct: number[];
  banking_deg: number[];
}

/** Columns along the lap, one value every step_m. */
export interface Trace extends RoadColumns {
  offset_m: number[];
  speed_mps: number[];
  brake_pct: number[];
  throttle_pct: number[];
  gear: number[];
  time_s: number[];
  /** How far from the centreline the body's edges may go. */
  allowedLeft_m?: number[];
  allowedRight_m?: number[];
  /** Length of the vehicle [m]. */
  carLength_m?: number;
  topLateral_g: number;
  topBraking_g: number;
  corners: TraceCorner[];
  marks: Mark[];
  kerbs: Kerb[];
  zones: Zone[];
  hazards: Hazard[];
  remarks: Remark[];
  sky?: { azimuth_deg: number; elevation_deg: number; intoTheSun: number[] } | null;
}

export interface View {
  revision: Revision;
  trace: Trace;
}

/** RFC 9457 problem details. */
export interface Problem {
  /** What is stored now, where a change was made from something older. */
  theirs?: unknown;
  title: string;
  detail: string;
  status: number;
  line?: number;
  column?: string;
  pointer?: string;
  /** Name of the value, with its place in a list. */
  field?: string;
  index?: number;
}
