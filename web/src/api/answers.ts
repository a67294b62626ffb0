import type { KerbUse } from './types';

/** What the server says of corners, cars and sheets beside the pages. SI units. */

export type School = 'rounded' | 'late-apex' | 'v' | 'tight' | 'double-apex' | 'defend' | 'fastest';

/** A way through a corner: seconds against the book's line, and the line itself. */
export interface SchoolLine {
  school: School;
  lost_s: number;
  /** As quick as the quickest but for a driver's choice. */
  tie: boolean;
  brakeAt_m?: number | null;
  entry_mps: number;
  lowest_mps: number;
  exit_mps: number;
  from_m: number;
  step_m: number;
  offset_m: number[];
  speed_mps: number[];
}

/** One position at the link between two corners, and what it does. */
export interface LinkWay {
  offset_m: number;
  lost_s: number;
  firstApexOff_m: number;
  secondApexOff_m: number;
  firstLowest_mps: number;
  secondLowest_mps: number;
  line_m: number[];
}

export interface LinkSweep {
  link_m: number;
  presentOffset_m: number;
  from_m: number;
  step_m: number;
  ways: LinkWay[];
}

export interface CornerGears {
  corner: number;
  inCorner: {
    gear: number;
    lostS: number;
    rpm: number;
    rearAsked: number;
    beyondLimiter: boolean;
    chosen: boolean;
  }[];
  before?: {
    atM: number;
    gear: number;
    secondsToBrakes: number;
    holdLostS: number;
    changeLostS: number;
  } | null;
  changes: {
    atM: number;
    from: number;
    to: number;
    rpm: number;
    costS: number;
    early: boolean;
    free: boolean;
  }[];
}

export interface Ideal {
  decelerationG: number;
  frontShare: number;
}

export interface BalanceZone {
  fromM: number;
  toM: number;
  fromMps: number;
  toMps: number;
  gradePct: number;
  largestG: number;
  idealAtBegin: number;
  idealAtEnd: number;
  locksFirst: 'FRONT' | 'REAR' | 'TOGETHER' | 'NONE';
  costM: number;
  forwardM: number;
  rearwardM: number;
}

export interface Balance {
  chosen: number;
  standing: Ideal[];
  fast: Ideal[];
  zones: BalanceZone[];
}

export type CarChange =
  | 'MASS_50_KG_MORE'
  | 'GRIP_5_PCT_LESS'
  | 'POWER_5_PCT_LESS'
  | 'DRAG_10_PCT_MORE'
  | 'DOWNFORCE_10_PCT_MORE'
  | 'BRAKE_FORCE_10_PCT_MORE'
  | 'UPSHIFT_TENTH_LONGER';

export interface GripAtSpeed {
  speedMps: number;
  edges: { lateralG: number; drivingG: number; brakingG: number }[];
}

export interface GearUse {
  number: number;
  idleMps: number;
  limiterMps: number;
  usedShare: number;
}

/** A vehicle in a few figures, ready to drive. */
export interface Figures {
  massKg: number;
  frontWeightShare: number;
  wheelbaseM: number;
  cgHeightM: number;
  powerW: number;
  powerRpm: number;
  gripLateral: number;
  cdAM2: number;
  clAM2: number;
  wheelieG: number;
  stoppieG: number;
  leanLimitDeg: number;
}

export interface CarOnCircuit {
  name: string;
  kind: 'CAR' | 'MOTORCYCLE';
  lap_s: number;
  figures: Figures;
  gears: {
    gears: GearUse[];
    longest: {
      fromM: number;
      lengthM: number;
      topMps: number;
      gear: number;
      rpm: number;
      limiterS: number;
    };
    finalDrives: { share: number; ratio: number; lostS: number; topMps: number }[];
  };
  grip: GripAtSpeed[];
  dry: Balance;
  wet: Balance;
  effects: { change: CarChange; lostS: number; topSpeedMps: number }[];
}

/** How a car is set up; what is absent is the car's own or was not written down. */
export interface SetupSheet {
  name: string;
  date?: string;
  brakeFrontShare?: number;
  finalDrive?: number;
  cdA_m2?: number;
  clA_m2?: number;
  aeroFrontShare?: number;
  gripFactor?: number;
  fuel_kg?: number;
  pressureFront_kpa?: number;
  pressureRear_kpa?: number;
  barFront?: number;
  barRear?: number;
  rideHeightFront_mm?: number;
  rideHeightRear_mm?: number;
  wing?: number;
  tyres?: string;
  notes?: string;
}

export interface KeptSheet {
  id: string;
  edition: number;
  sheet: SetupSheet;
}

export interface SheetComparison {
  lostS: number;
  differences: {
    field: string;
    first: string;
    second: string;
    lostS?: number | null;
    words: string;
  }[];
}

export interface Side {
  kind: 'STRAIGHT' | 'LIFT' | 'BRAKES';
  brakeAtM?: number | null;
  approachMps: number;
  lowestMps: number;
  exitMps: number;
  gear: number;
  timeS: number;
  leanDeg?: number | null;
}

export interface Beside {
  first: string;
  second: string;
  firstLap_s: number;
  secondLap_s: number;
  rows: {
    corner: number;
    name: string;
    first: Side;
    second: Side;
    brakesLaterM?: number | null;
  }[];
}

export type Day =
  | 'dry'
  | 'damp'
  | 'wet'
  | 'drying'
  | 'cold-first-lap'
  | 'cold-second-lap'
  | 'cold-third-lap'
  | 'worn-tyres'
  | 'heavy-fuel'
  | 'light-fuel'
  | 'head-wind'
  | 'tail-wind'
  | 'cross-wind'
  | 'high-place';

/** What another day does to one corner, model against model. */
export interface DayShift {
  corner: number;
  brakeEarlier_m?: number | null;
  /** It stays where it is: with less grip later would be no advice. */
  brakeHeld?: boolean;
  /** The brakes are needed only on the other day. */
  begins: boolean;
  gearsLower: number;
  releaseEarlier_m?: number | null;
  lowestSlower_mps: number;
  throttleLater_m?: number | null;
  apexKerb?: KerbUse | null;
  exitKerb?: KerbUse | null;
  lost_s: number;
  /** Where the model brakes then; absent where it does not. */
  brakeAt_m?: number | null;
  throttleFirst_m?: number | null;
  gear: number;
}

/** A lap on another day; its line one offset every step from the start line on. */
export interface OnDay {
  day: Day;
  lap_s: number;
  lost_s: number;
  step_m: number;
  offset_m: number[];
  shifts: DayShift[];
}

/** One thing that is said on the lap; times in seconds of the lap, before 0 on the lap before. */
export interface Call {
  corner: number;
  from_s: number;
  to_s: number;
  point_m: number;
  point_s: number;
  words: string;
}

export interface SpokenLap {
  lap_s: number;
  calls: Call[];
}
