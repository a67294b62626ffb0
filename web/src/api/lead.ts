import type { Rule } from './laps';

/** A session that an instructor leads a group through. */

export interface Member {
  key: string;
  name: string;
  vehicle: string;
  /** First lap on the road. */
  fromLap: number;
  /** First lap that he is gone. */
  goneFromLap?: number | null;
}

export interface Word {
  text: string;
  /** Whether it praises. */
  good: boolean;
}

export type ConePoint = 'brake' | 'turn-in' | 'apex';

/** A mark that stands on this day alone. */
export interface Cone {
  corner: number;
  point: ConePoint;
  what: 'cone' | 'board';
  at_m: number;
  side: 'left' | 'right';
  note: string;
}

export interface LeadDay {
  drivers: Member[];
  /** Laps behind the leader at a time. */
  lapsEach: number;
  laps: number;
  /** Lap that is driven now. */
  lap: number;
  /** Share of the page’s speed. */
  paceShare: number;
  words: Word[];
  cones: Cone[];
  safetyBrief: { text: string; done: boolean }[];
  files: { driver: string; file: string }[];
}

/** The line on some laps; the first is directly behind the leader. */
export interface Turn {
  fromLap: number;
  toLap: number;
  order: string[];
}

export type RemarkState = 'open' | 'taken' | 'not-taken';

export interface GroupRemark {
  edition: number;
  id: string;
  driver: string;
  /** 0 for the lap as a whole. */
  corner: number;
  lap: number;
  words: string;
  good: boolean;
  state: RemarkState;
  closedOnLap?: number | null;
  /** Whether the driver says it himself. */
  own: boolean;
}

/** A finding of a driver’s laps. */
export interface DriverFinding {
  driver: string;
  corner: number;
  rule: Rule;
  amount: number;
  laps: number;
  of: number;
  cost_s?: number | null;
}

export interface Lead {
  day: LeadDay;
  edition: number;
  turns: Turn[];
  remarks: GroupRemark[];
  files: { id: string; name: string }[];
  findings: DriverFinding[];
}
