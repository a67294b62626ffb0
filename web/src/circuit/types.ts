import type { Hazard, Kerb, Mark, RoadColumns, TraceCorner, Zone } from '../api/types';

/** A corner as it is drawn by hand. */
export interface DrawnCorner {
  number: number;
  name: string;
  side?: 'LEFT' | 'RIGHT' | null;
  fromM: number;
  toM: number;
  linkWithNext: boolean;
  /** Track-limits rule of its own, else the layout's. */
  rule?: string | null;
}

/** Widths measured anew over a stretch. */
export interface WidthEdit {
  fromM: number;
  toM: number;
  leftM?: number | null;
  rightM?: number | null;
}

/** Everything of a circuit that is kept by hand; the whole of it each time. */
export interface CircuitEdits {
  name: string;
  layout: string;
  validFrom?: string | null;
  timeZone: string;
  trackLimits: string;
  marks: Mark[];
  kerbs: Kerb[];
  zones: Zone[];
  hazards: Hazard[];
  corners: DrawnCorner[];
  widths: WidthEdit[];
}

export interface LayoutChange {
  kind: string;
  fromM: number;
  toM: number;
  label: string;
  text: string;
}

export interface VersionLine {
  id: string;
  version: number;
  validFrom?: string | null;
  createdAt: string;
  reason: string;
  changes: LayoutChange[];
}

export interface CircuitSummary {
  id: string;
  name: string;
  layout: string;
  version: number;
  length_m: number;
  corners: number;
  draft: boolean;
}

export interface CircuitView {
  id: string;
  /** Of the version with its draft; to be sent back with the next change. */
  edition: number;
  name: string;
  layout: string;
  version: number;
  newestId: string;
  inUse: boolean;
  versions: VersionLine[];
  edits: CircuitEdits;
  draft?: CircuitEdits | null;
  draftChanges: LayoutChange[];
  origin?: { latDeg: number; lonDeg: number } | null;
  surveyNoise_m: number;
  largestMove_m: number;
  corners: TraceCorner[];
  untrueBoards: {
    label: string;
    stationM: number;
    saysM: number;
    standsM: number;
    corner: number;
  }[];
  road: RoadColumns;
}

/** What a driver says of a file before it is taken in. */
export interface ImportSettings {
  name?: string;
  expectedLength_m?: number;
  smoothing?: number;
  reversed?: boolean;
  startAt_m?: number;
  lap?: number;
  widthLeft_m?: number;
  widthRight_m?: number;
  /** Whether the road is taken as level; not said yet where it is missing. */
  level?: boolean;
}

/** Heights of a recording after smoothing; grades as fractions. */
export interface RecordedHeights {
  noiseM: number;
  overM: number;
  gapM: number;
  steepestUp: number;
  steepestDown: number;
  riseM: number;
  /** Whether the driver is to be asked before they are taken. */
  doubtful: boolean;
}

export interface CircuitPreview {
  kind: string;
  name: string;
  length_m: number;
  closed: boolean;
  corners: number;
  marks: number;
  kerbs: number;
  spacing_m: number;
  surveyNoise_m: number;
  largestMove_m: number;
  largestMoveAt_m: number;
  climb_m: number;
  place?: { latDeg: number; lonDeg: number } | null;
  track?: {
    points: number;
    used: number;
    spacingM: number;
    laps: number;
    closureGapM: number;
    crossings: { firstM: number; secondM: number }[];
    heights?: RecordedHeights | null;
  } | null;
  warnings: string[];
  road: RoadColumns;
}

export interface LightView {
  azimuth_deg: number;
  elevation_deg: number;
  intoTheSun: number[];
  shadows: {
    label: string;
    notedAt_m: number;
    at_m: number;
    moved_m: number;
    usable: boolean;
    why: string;
  }[];
  inShade: { label: string; at_m: number }[];
}

export interface WalkItem {
  key: string;
  station_m: number;
  corner?: number | null;
  why: string;
  text: string;
}

export interface WalkNote {
  id: string;
  station_m: number;
  side: string;
  words: string;
  madeAt: string;
  lat_deg?: number | null;
  lon_deg?: number | null;
  photo: boolean;
}

export interface WalkView {
  edition: number;
  id?: string | null;
  begunAt?: string | null;
  list: WalkItem[];
  ticked: string[];
  notes: WalkNote[];
  changes: LayoutChange[];
}

/** A page that is to be checked on track. */
export interface CheckLine {
  corner: number;
  reason: string;
  layoutVersion: number;
  madeAt: string;
}
