import type { DayShift, OnDay, SetupSheet } from './answers';
import type { Conditions, LineChoice, MarkReference, OwnValues } from './types';

/** Sessions, what they change, and what is read before them. SI units. */

export type Kind = 'walk' | 'test' | 'practice' | 'qualifying' | 'race' | 'track-day' | 'simulator';

export type Purpose =
  'practice' | 'qualifying' | 'race' | 'save-tyres' | 'first-lap' | 'defend' | 'attack' | 'follow';

export interface TyreSet {
  name: string;
  laps: number;
  goodLaps: number;
  inUseSince?: string;
}

export interface ForecastHour {
  at: string;
  surface: Conditions['surface'];
  airTemperature_c: number;
  trackTemperature_c: number;
  windSpeed_mps: number;
  windFrom_deg: number;
  rain_pct: number;
}

/** Something to look at in a corner; corner 0 is the lap as a whole. */
export interface OpenPoint {
  corner: number;
  words: string;
}

export interface SessionResult {
  laps: number;
  bestLap_s?: number;
  learned?: string;
}

export interface Session {
  event: string;
  kind: Kind;
  /** Day and hour on the circuit's clocks. */
  startsAt: string;
  /** Of an hour that comes twice, the second one. */
  laterHour?: boolean;
  length_min: number;
  purpose: Purpose;
  tyres: TyreSet;
  conditions: Conditions;
  forecast?: ForecastHour[];
  setup?: SetupSheet;
  openPoints?: OpenPoint[];
  result?: SessionResult;
  /** The revision that was issued for it. */
  revision?: number;
}

export interface KeptSession {
  id: string;
  bookId: string;
  book: string;
  circuit: string;
  timeZone: string;
  begins: string;
  comesTwice: boolean;
  /** Whether laps of it are there. */
  driven: boolean;
  changedAt: string;
  edition: number;
  session: Session;
}

export interface Weather {
  simulated: boolean;
  hours: ForecastHour[];
}

export type ChangedField =
  | 'brake.at_m'
  | 'gears.corner'
  | 'trailBrake.release_m'
  | 'apexes.speed_mps'
  | 'kerbs.apex'
  | 'kerbs.exit'
  | 'throttle.first_m'
  | 'throttle.full_m';

/** One value that a session changes; the use of a kerb by its place in the list of uses. */
export interface Change {
  corner: number;
  field: ChangedField;
  before?: number | null;
  after?: number | null;
  why: 'conditions' | 'own-moved' | 'step' | 'held';
}

export interface Decision {
  corner: number;
  field: ChangedField;
  choice: 'accept' | 'alter' | 'leave';
  value?: number | null;
}

export interface Prepared {
  /** The newest revision, which the changes are told against. */
  parent: number;
  /** Of the session that this was made from. */
  edition: number;
  parentLap_s: number;
  lap_s: number;
  parentConditions: Conditions;
  conditions: Conditions;
  changes: Change[];
  decisions: Decision[];
  openPoints: OpenPoint[];
  /** What the revision would be computed from. */
  line: LineChoice;
  ownValues: OwnValues[];
  setup?: SetupSheet | null;
}

/** A mark as the server writes it inside of a step. */
export interface StepMark extends Omit<MarkReference, 'offset_m' | 'side'> {
  side: string;
  offsetM: number;
}

export interface StepView {
  /** Of what is kept of it; to be sent back with the next lap. */
  edition: number;
  corner: number;
  name: string;
  safe_m: number;
  target_m: number;
  limit_m: number;
  margin_m: number;
  heldBack: boolean;
  steps_m: number[];
  runOff_m?: number | null;
  begun: boolean;
  proven: boolean;
  sure: boolean;
  /** Index of the present step. */
  step: number;
  inARow: number;
  misses: number;
  now_m: number;
  now?: StepMark | null;
  target?: StepMark | null;
}

export type Tier = 'expert' | 'good-club' | 'beginner' | 'book' | 'own-best' | 'own-next';

export interface Brief {
  session: KeptSession;
  revision: number;
  issued: boolean;
  parent?: number | null;
  lap_s: number;
  conditions: Conditions;
  warmUp: {
    lap: number;
    gripShare: number;
    brakeEarlier_m: number;
    lowerGearIn: number[];
    lap_s: number;
  }[];
  focus: { corner: number; stakes_s: number; doubt: number; why: string; slip_s: number }[];
  sectorEnds_m: number[];
  targets: { tier: Tier; lap_s: number; sectors_s: number[] }[];
  shortForm: { corner: number; words: string }[];
  steps: StepView[];
  hazards: { corner: number; words: string; distance_m: number }[];
  intoTheSun: number[];
  sunElevation_deg?: number | null;
  toCheck: { corner: number }[];
}

/** A corner from the inside: where one brakes then, what it costs, where it ends. */
export interface InsideEntry {
  corner: number;
  brakeAt_m: number;
  brakeEarlier_m: number;
  lost_s: number;
  lowest_mps: number;
  exit_mps: number;
  exitSlower_mps: number;
  endsAt_m: number;
  widest_m: number;
}

/** Work of the tyres in a corner, and what using less grip there saves and costs. */
export interface TyreSaving {
  corner: number;
  workShare: number;
  cuts: { lessGrip: number; savedShare: number; lost_s: number; savedPerTenth: number }[];
}

export interface OnPurpose extends Omit<OnDay, 'day'> {
  day: Purpose;
  shifts: DayShift[];
}

export interface Purposes {
  laps: OnPurpose[];
  defend: InsideEntry[];
  attack: InsideEntry[];
  saving: TyreSaving[];
}

/** Something that was said over the simulated radio. */
export interface RadioMessage {
  number: number;
  at: string;
  words: string;
}

export interface Heard {
  simulated: boolean;
  last: number;
  messages: RadioMessage[];
}
