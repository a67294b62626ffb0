import type { Hazard, Kerb, Mark, RoadColumns, Zone } from '../api/types';
import { ahead, valueAt } from '../strip/lap-axis';
import type { CircuitEdits, DrawnCorner, LimitStretch, WidthEdit } from './types';

/** Lists of things that stand, lie or wait along the road. */
export type ThingKind = 'marks' | 'kerbs' | 'zones' | 'hazards' | 'corners' | 'stretches';
export type Thing = Mark | Kerb | Zone | Hazard | DrawnCorner | LimitStretch;

/** One of the things, by its list and its place in it. */
export interface Selection {
  kind: ThingKind;
  index: number;
}

export const KIND_NAMES: Record<ThingKind, string> = {
  marks: 'mark',
  kerbs: 'kerb',
  zones: 'surface zone',
  hazards: 'hazard',
  corners: 'corner',
  stretches: 'track limits',
};

export const MARK_TYPES: readonly Mark['type'][] = [
  'DISTANCE_BOARD',
  'PAINT_LINE',
  'KERB_START',
  'KERB_END',
  'MARSHAL_POST',
  'BRIDGE',
  'LAMP',
  'SIGN',
  'BANNER',
  'FENCE_END',
  'WALL_END',
  'TYRE_WALL_END',
  'ACCESS_ROAD',
  'BUILDING',
  'TREE',
  'BUSH',
  'GRASS_EDGE',
  'SURFACE_CHANGE',
  'PATCH',
  'CREST',
  'DRAIN',
  'SIGNAL_LIGHT',
  'CONE',
  'SHADOW',
  'RUBBER',
  'PARKED_VEHICLE',
  'OTHER',
];
export const KERB_PROFILES: readonly Kerb['profile'][] = [
  'FLAT',
  'RAMP',
  'CROWNED',
  'SERRATED',
  'SAUSAGE',
];
export const KERB_USES: readonly Kerb['use'][] = ['NONE', 'TOUCH', 'TYRE', 'HALF_CAR', 'FULL'];
export const ZONE_TYPES: readonly Zone['type'][] = [
  'BUMP',
  'DIP',
  'CREST',
  'DAMP_SHADE',
  'PATCH',
  'OFF_CAMBER',
  'SLIPPERY_PAINT',
  'DRAIN',
  'DUST',
  'REGROUP',
  'LET_BY',
];
export const HAZARD_TYPES: readonly Hazard['type'][] = [
  'WALL',
  'TYRE_WALL',
  'GRAVEL',
  'GRASS',
  'NO_RUN_OFF',
  'POLE',
];
export const LIMIT_RULES: readonly CircuitEdits['trackLimits'][] = [
  'ONE_WHEEL_INSIDE_LINE',
  'TWO_WHEELS_INSIDE_LINE',
  'KERB_COUNTS_AS_TRACK',
  'FREE',
];

export const LIMIT_LINES: readonly LimitStretch['line'][] = [
  'WHITE_LINE',
  'KERB_OUTER_EDGE',
  'BEYOND',
];
export const CONSEQUENCES: readonly LimitStretch['consequence'][] = [
  'WARNING',
  'LAP_DELETED',
  'TIME',
];
export const LIMITED_SESSIONS: readonly LimitStretch['sessions'][number][] = [
  'TEST',
  'PRACTICE',
  'QUALIFYING',
  'RACE',
  'TRACK_DAY',
];

/** An enumeration's constant as words. */
export const spoken = (constant: string) => constant.toLowerCase().replaceAll('_', ' ');

/** A station brought into the lap: round a closed one, to the ends of an open one. */
export function wrapped(road: RoadColumns, station: number): number {
  return road.closed
    ? ((station % road.length_m) + road.length_m) % road.length_m
    : Math.max(0, Math.min(road.length_m, station));
}

const tenth = (value: number) => Math.round(value * 10) / 10;

/** What a thing is called in lists. */
export function nameOf(kind: ThingKind, thing: Thing): string {
  switch (kind) {
    case 'marks':
      return (thing as Mark).label;
    case 'kerbs':
      return `${spoken((thing as Kerb).profile)} kerb, ${spoken((thing as Kerb).side)}`;
    case 'zones':
      return spoken((thing as Zone).type);
    case 'hazards':
      return `${spoken((thing as Hazard).type)}, ${spoken((thing as Hazard).side)}`;
    case 'stretches':
      return `limits, ${spoken((thing as LimitStretch).side)}`;
    default: {
      const corner = thing as DrawnCorner;
      return `${corner.number} ${corner.name}`.trim();
    }
  }
}

/** A new thing at a station, with what is most often the case. */
export function newThing(
  kind: ThingKind,
  station: number,
  side: 'LEFT' | 'RIGHT',
  road: RoadColumns,
  edits: CircuitEdits,
): Thing {
  const at = tenth(wrapped(road, station));
  const end = tenth(wrapped(road, station + 30));
  switch (kind) {
    case 'marks':
      return {
        label: 'new mark',
        type: 'SIGN',
        side,
        fromM: at,
        toM: at,
        offsetM: beside(road, at, side),
        note: '',
      };
    case 'kerbs':
      return {
        side,
        fromM: at,
        toM: end,
        profile: 'RAMP',
        heightMm: 40,
        widthM: 0.9,
        use: 'TYRE',
        useWet: 'NONE',
        note: '',
      };
    case 'zones':
      return { type: 'BUMP', side: 'ROAD', fromM: at, toM: end, gripFactor: 0.95, note: '' };
    case 'hazards':
      return { type: 'GRAVEL', side, fromM: at, toM: end, distanceM: 10, note: '' };
    case 'stretches':
      return {
        side,
        fromM: at,
        toM: end,
        wheels: 2,
        line: 'WHITE_LINE',
        consequence: 'LAP_DELETED',
        sessions: [],
        note: '',
      };
    default:
      return {
        number: Math.max(0, ...edits.corners.map((c) => c.number)) + 1,
        name: '',
        side: null,
        fromM: at,
        toM: tenth(wrapped(road, station + 60)),
        linkWithNext: false,
        rule: null,
      };
  }
}

/** Offset of something that stands three metres beyond the white line. */
export function beside(road: RoadColumns, station: number, side: string): number {
  if (side === 'LEFT') return tenth(valueAt(road, road.left_m, station) + 3);
  if (side === 'RIGHT') return -tenth(valueAt(road, road.right_m, station) + 3);
  return 0;
}

/** The edits with one thing in another's place. */
export function replace(edits: CircuitEdits, at: Selection, thing: Thing): CircuitEdits {
  const list = [...edits[at.kind]] as Thing[];
  list[at.index] = thing;
  return { ...edits, [at.kind]: list };
}

export function add(edits: CircuitEdits, kind: ThingKind, thing: Thing): CircuitEdits {
  return { ...edits, [kind]: [...edits[kind], thing] };
}

export function remove(edits: CircuitEdits, at: Selection): CircuitEdits {
  return { ...edits, [at.kind]: (edits[at.kind] as Thing[]).filter((_, i) => i !== at.index) };
}

/** A thing moved along the road, its length kept. */
export function moved<T extends Thing>(road: RoadColumns, thing: T, metres: number): T {
  return {
    ...thing,
    fromM: tenth(wrapped(road, thing.fromM + metres)),
    toM: tenth(wrapped(road, thing.toM + metres)),
  };
}

/** A thing on the other side of the road, as far as it has one. */
export function onSide(thing: Thing, side: 'LEFT' | 'RIGHT'): Thing {
  if (!('side' in thing) || (thing.side !== 'LEFT' && thing.side !== 'RIGHT')) return thing;
  if (thing.side === side) return thing;
  const turned = { ...thing, side } as Thing;
  return 'offsetM' in turned ? { ...turned, offsetM: -turned.offsetM } : turned;
}

/** The corner cut in two at a station within it; null where the station lies outside. */
export function splitCorner(
  road: RoadColumns,
  edits: CircuitEdits,
  index: number,
  station: number,
): CircuitEdits | null {
  const corner = edits.corners[index];
  const length = ahead(road, corner.fromM, corner.toM);
  const first = ahead(road, corner.fromM, station);
  if (!(first > 5 && first < length - 5)) return null;
  const cut = tenth(wrapped(road, station));
  const parts: DrawnCorner[] = [
    { ...corner, toM: cut, linkWithNext: true },
    { ...corner, fromM: cut, name: corner.name ? `${corner.name} 2` : '' },
  ];
  const corners = [...edits.corners];
  corners.splice(index, 1, ...parts);
  return renumbered({ ...edits, corners });
}

/** The corner and the one after it as one. */
export function joinWithNext(edits: CircuitEdits, index: number): CircuitEdits {
  const order = inOrder(edits.corners);
  const at = order.indexOf(edits.corners[index]);
  const next = order[(at + 1) % order.length];
  const corner = edits.corners[index];
  if (next === corner) return edits;
  const joined: DrawnCorner = { ...corner, toM: next.toM, linkWithNext: next.linkWithNext };
  const corners = edits.corners.filter((c) => c !== corner && c !== next);
  return renumbered({ ...edits, corners: [...corners, joined] });
}

function inOrder(corners: DrawnCorner[]): DrawnCorner[] {
  return [...corners].sort((a, b) => a.fromM - b.fromM);
}

/** Corners numbered from 1 in driving order. */
export function renumbered(edits: CircuitEdits): CircuitEdits {
  const corners = inOrder(edits.corners).map((corner, i) => ({ ...corner, number: i + 1 }));
  return { ...edits, corners };
}

/** What stands, lies or waits near a station, nearest first. */
export function near(
  road: RoadColumns,
  edits: CircuitEdits,
  station: number,
  reach: number,
): { at: Selection; name: string; metres: number }[] {
  const found: { at: Selection; name: string; metres: number }[] = [];
  for (const kind of Object.keys(KIND_NAMES) as ThingKind[]) {
    (edits[kind] as Thing[]).forEach((thing, index) => {
      const metres = awayFrom(road, thing, station);
      if (Math.abs(metres) <= reach) {
        found.push({ at: { kind, index }, name: nameOf(kind, thing), metres });
      }
    });
  }
  return found.sort((a, b) => Math.abs(a.metres) - Math.abs(b.metres));
}

/** Metres from a station forward to a thing, back to it negative; 0 along it. */
function awayFrom(road: RoadColumns, thing: Thing, station: number): number {
  const short = (d: number) =>
    road.closed ? d - road.length_m * Math.round(d / road.length_m) : d;
  const begin = short(thing.fromM - station);
  const end = begin + ahead(road, thing.fromM, thing.toM);
  if (begin <= 0 && end >= 0) return 0;
  return begin > 0 ? begin : end;
}

/** The road as it is drawn while widths measured anew are not kept yet: each set over its stretch. */
export function withWidths(road: RoadColumns, widths: WidthEdit[]): RoadColumns {
  if (widths.length === 0) return road;
  const left_m = [...road.left_m];
  const right_m = [...road.right_m];
  for (const { fromM, toM, leftM, rightM } of widths) {
    const stretch = ahead(road, fromM, toM);
    for (let i = 0; i < left_m.length; i++) {
      const past = ahead(road, fromM, i * road.step_m);
      if (past < 0 || past > stretch) continue;
      left_m[i] = leftM ?? left_m[i];
      right_m[i] = rightM ?? right_m[i];
    }
  }
  return { ...road, left_m, right_m };
}
