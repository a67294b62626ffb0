import type { CornerPage } from '../api/types';
import type {
  Cone,
  ConePoint,
  DriverFinding,
  GroupRemark,
  LeadDay,
  Member,
  Turn,
} from '../api/lead';

/** The line on a lap; empty where nobody drives. */
export function lineOn(turns: readonly Turn[], lap: number): string[] {
  return turns.find((t) => t.fromLap <= lap && lap <= t.toLap)?.order ?? [];
}

/** The turn after the one of a lap. */
export function nextTurn(turns: readonly Turn[], lap: number): Turn | undefined {
  return turns.find((t) => t.fromLap > lap);
}

/** Which of his laps directly behind the leader a driver is on, and of how many. */
export function lapOfTurn(turns: readonly Turn[], lap: number): [number, number] | undefined {
  const now = turns.findIndex((t) => t.fromLap <= lap && lap <= t.toLap);
  if (now < 0 || !turns[now].order.length) return undefined;
  const first = turns[now].order[0];
  // Somebody else who leaves or comes parts a turn; it is his still.
  let from = now;
  while (from > 0 && turns[from - 1].order[0] === first) from--;
  let to = now;
  while (to + 1 < turns.length && turns[to + 1].order[0] === first) to++;
  return [lap - turns[from].fromLap + 1, turns[to].toLap - turns[from].fromLap + 1];
}

/** What a driver is to do something about, by the lap that it was said on. */
export const openFor = (remarks: readonly GroupRemark[], driver: string): GroupRemark[] =>
  remarks.filter((r) => r.driver === driver && r.state === 'open');

/** The finding that belongs to a remark: the dearest of that driver in that corner. */
export function findingOf(
  findings: readonly DriverFinding[],
  remark: Pick<GroupRemark, 'driver' | 'corner'>,
): DriverFinding | undefined {
  return findings
    .filter((f) => f.driver === remark.driver && f.corner === remark.corner)
    .reduce<DriverFinding | undefined>(
      (best, f) => (!best || (f.cost_s ?? 0) > (best.cost_s ?? 0) ? f : best),
      undefined,
    );
}

/** A key for a driver that none of the others has. */
export function newKey(drivers: readonly Member[], name: string): string {
  const plain = name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
  const base = (plain || 'driver').slice(0, 40);
  const taken = new Set(drivers.map((d) => d.key));
  let key = base;
  for (let k = 2; taken.has(key); k++) key = `${base}-${k}`;
  return key;
}

/** Takes a driver out of the line from a lap on; one to whom nothing happened yet just goes. */
export function without(day: LeadDay, key: string, remarks: readonly GroupRemark[]): LeadDay {
  const told = remarks.some((r) => r.driver === key);
  const driver = day.drivers.find((d) => d.key === key)!;
  const gone = Math.max(driver.fromLap, day.lap);
  const drivers =
    told || day.lap > driver.fromLap
      ? day.drivers.map((d) => (d.key === key ? { ...d, goneFromLap: gone } : d))
      : day.drivers.filter((d) => d.key !== key);
  const files = day.files.filter((f) => drivers.some((d) => d.key === f.driver));
  return { ...day, drivers, files };
}

/** Moves a driver in the order of the first lap. */
export function moved(drivers: readonly Member[], key: string, by: -1 | 1): Member[] {
  const from = drivers.findIndex((d) => d.key === key);
  const to = from + by;
  if (from < 0 || to < 0 || to >= drivers.length) return [...drivers];
  const next = [...drivers];
  [next[from], next[to]] = [next[to], next[from]];
  return next;
}

/** Where a page has the point that a cone stands at; undefined where it has none. */
export function stationOf(page: CornerPage, point: ConePoint): number | undefined {
  if (point === 'brake') return page.brake.at_m ?? undefined;
  return point === 'turn-in' ? page.turnIn.at_m : page.apexes[0]?.at_m;
}

/** A cone at a page's point: at the apex inside, else outside, where it is not driven over. */
export function coneAt(page: CornerPage, point: ConePoint): Cone | undefined {
  const at_m = stationOf(page, point);
  if (at_m === undefined) return undefined;
  const inside = page.direction === 'left' ? 'left' : 'right';
  const outside = inside === 'left' ? 'right' : 'left';
  const side = point === 'apex' ? inside : outside;
  const what = point === 'brake' ? 'board' : 'cone';
  return { corner: page.corner, point, what, at_m: Math.round(at_m), side, note: '' };
}
