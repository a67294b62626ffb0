import type { CornerPage, Mark, Trace } from './api/types';

const STEP_M = 2;

/** An invented closed lap for tests: a circle of 1000 m driven at 25 m/s, one corner, some marks. */
export function testTrace(): Trace {
  const n = 500;
  const radius = 1000 / (2 * Math.PI);
  const each = (value: (s: number) => number) =>
    Array.from({ length: n }, (_, i) => value(i * STEP_M));
  return {
    step_m: STEP_M,
    length_m: 1000,
    closed: true,
    x_m: each((s) => radius * Math.sin(s / radius)),
    y_m: each((s) => radius * (1 - Math.cos(s / radius))),
    z_m: each((s) => 5 * Math.sin(s / radius)),
    curvature_perM: each(() => 1 / radius),
    left_m: each(() => 5),
    right_m: each(() => 6),
    offset_m: each((s) => (s >= 300 && s < 340 ? 3 : -3)),
    speed_mps: each(() => 25),
    brake_pct: each((s) => (s >= 200 && s < 260 ? 80 : 0)),
    throttle_pct: each((s) => (s >= 200 && s < 320 ? 0 : 100)),
    gear: each((s) => (s < 220 ? 5 : s < 400 ? 3 : 4)),
    time_s: each((s) => s / 25),
    grade_pct: each(() => 3),
    banking_deg: each(() => 0),
    grip_pct: each(() => 50),
    limit: each(() => 0),
    allowedLeft_m: each(() => 6),
    allowedRight_m: each(() => 6),
    carLength_m: 4,
    topLateral_g: 0.4,
    topBraking_g: 1,
    corners: [],
    marks: [
      mark('100 board', 'DISTANCE_BOARD', 'LEFT', 190, 100),
      mark('old oak', 'TREE', 'RIGHT', 250),
      mark('footbridge', 'BRIDGE', 'OVER', 380),
      mark('far post', 'LAMP', 'LEFT', 800),
    ],
    kerbs: [],
    zones: [{ type: 'BUMP', side: 'ROAD', fromM: 230, toM: 244, gripFactor: 1, note: '' }],
    hazards: [],
    remarks: [],
  };
}

function mark(
  label: string,
  type: Mark['type'],
  side: Mark['side'],
  at: number,
  valueM?: number,
): Mark {
  return { label, type, side, fromM: at, toM: at, offsetM: 0, valueM, note: '' };
}

/** The page of that lap's corner, from 280 m to 380 m. */
export function testPage(changes: Partial<CornerPage> = {}): CornerPage {
  return {
    corner: 1,
    name: 'Mill',
    direction: 'left',
    from_m: 280,
    to_m: 380,
    approach: { offset_m: -3, speed_mps: 50 },
    brake: {
      at_m: 200,
      initial_pct: 80,
      style: 'hard',
      target: {
        mark: '100 board',
        side: 'left',
        offset_m: 10,
        thing: 'the 100 board, left',
        text: '10 m past the 100 board, left',
      },
    },
    feet: 'right',
    gears: {
      approach: 5,
      in: 3,
      corner: 3,
      out: 3,
      downshifts_m: [215, 220],
      changes: [
        { at_m: 215, to: 4, kind: 'down' },
        { at_m: 220, to: 3, kind: 'down' },
        { at_m: 400, to: 4, kind: 'up' },
      ],
    },
    turnIn: { at_m: 270, speed_mps: 30 },
    trailBrake: { atTurnIn_pct: 35, half_pct: 18, nearApex_pct: 8, release_m: 300 },
    apexes: [{ at_m: 320, offset_m: 3, kind: 'mid', speed_mps: 25 }],
    kerbs: { entry: 'none', apex: 'tyre', exit: 'full' },
    presses: [],
    phases: [],
    throttle: { first_m: 322, first_pct: 50, full_m: 350 },
    exit: { trackOut_m: 390, offset_m: -4, speed_mps: 33 },
    time_s: 10,
    lowest: { at_m: 318, speed_mps: 25 },
    sources: {},
    notes: '',
    wayOut: '',
    ...changes,
  };
}
