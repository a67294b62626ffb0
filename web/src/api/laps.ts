/** Laps of a session, read against the page. SI units. */

export interface Reading {
  corner: number;
  brakeOn_m?: number | null;
  peakBrake_pct?: number | null;
  turnInBrake_pct?: number | null;
  release_m?: number | null;
  lowest_mps?: number | null;
  lowestAt_m?: number | null;
  gear?: number | null;
  throttleFirst_m?: number | null;
  throttleFull_m?: number | null;
  coasting_s?: number | null;
  exit_mps?: number | null;
  inside_m?: number | null;
  time_s?: number | null;
}

export interface DrivenLap {
  file: string;
  number: number;
  kind: 'out' | 'flying' | 'disturbed' | 'in';
  time_s: number;
  corners: Reading[];
}

export interface LapFile {
  id: string;
  name: string;
  samples: number;
  used: string[];
  unknown: string[];
  corrections: string[];
}

export type Rule =
  | 'braked-early'
  | 'braked-late'
  | 'over-slowed'
  | 'late-throttle'
  | 'released-early'
  | 'coasting'
  | 'other-gear'
  | 'inconsistent';

/** Something that several laps did otherwise than the page; the amount by the rule, SI. */
export interface Finding {
  corner: number;
  rule: Rule;
  amount: number;
  laps: number;
  of: number;
  cost_s?: number | null;
}

export interface Debrief {
  revision: number;
  lap_s: number;
  /** The page's own lap, read the way the driven ones are. */
  page: Reading[];
  laps: DrivenLap[];
  findings: Finding[];
  files: LapFile[];
}
