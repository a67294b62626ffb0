/** The strip that comes towards the driver: what is to be pressed, and what was. */

export type ActKind = 'brake' | 'turn' | 'release' | 'throttle' | 'gear-up' | 'gear-down';
/** What is shown while it runs. */
export type Help = 'plates' | 'marks' | 'road' | 'dark';

export interface Act {
  corner: number;
  kind: ActKind;
  at_m: number;
  /** Time in the lap as the pages are driven. */
  at_s: number;
}

/** An act with how late it was pressed; without the two it was missed. */
export interface Hit extends Act {
  off_s?: number | null;
  off_m?: number | null;
}

export interface CornerScore {
  corner: number;
  acts: number;
  missed: number;
  /** Mean distance of the presses, whichever way. */
  mean_m?: number | null;
}

export interface Run {
  id: string;
  at: string;
  revision: number;
  /** Share of the page’s speeds. */
  speedShare: number;
  help: Help;
  /** Time in the lap at which it ended. */
  until_s: number;
  /** Presses that belong to nothing. */
  extra: number;
  corners: CornerScore[];
  hits: Hit[];
}

export interface Runs {
  revision: number;
  lap_s: number;
  acts: Act[];
  runs: Run[];
}

/** A key that was pressed at a time in the lap, as it would be at full speed. */
export interface Press {
  kind: ActKind;
  at_s: number;
}
