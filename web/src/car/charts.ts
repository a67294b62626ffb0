import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import type { Balance, CarOnCircuit, GripAtSpeed, Ideal } from '../api/answers';

/** Room for a drawing and its margins [px]. */
export interface Room {
  width: number;
  height: number;
  left: number;
  right: number;
  top: number;
  bottom: number;
}

interface Scales {
  x: ScaleLinear<number, number>;
  y: ScaleLinear<number, number>;
}

function scales(room: Room, x: [number, number], y: [number, number]): Scales {
  return {
    x: scaleLinear(x, [room.left, room.width - room.right]),
    y: scaleLinear(y, [room.height - room.bottom, room.top]),
  };
}

/**
 * The saw of the gears: engine speed over road speed, each gear from where it is taken to its limiter.
 *
 * @param limiterRpm engine speed at the limiter
 */
export function gearSaw(car: CarOnCircuit, limiterRpm: number, room: Room) {
  const { gears } = car.gears;
  const fastest = Math.max(...gears.map((g) => g.limiterMps));
  const s = scales(room, [0, fastest * 1.02], [0, limiterRpm * 1.05]);
  return {
    ...s,
    teeth: gears.map((gear) => ({
      gear: gear.number,
      used: gear.usedShare,
      x1: s.x(gear.limiterMps * 0.3),
      y1: s.y(limiterRpm * 0.3),
      x2: s.x(gear.limiterMps),
      y2: s.y(limiterRpm),
    })),
  };
}

/** Engine speed at the limiter, as the longest straight's figures give it. */
export function limiterRpm(car: CarOnCircuit): number {
  const { longest, gears } = car.gears;
  const gear = gears.find((g) => g.number === longest.gear)!;
  return (longest.rpm * gear.limiterMps) / longest.topMps;
}

/**
 * Edges of what the car can do: drive up, brakes down, the same to both sides.
 */
export function gripEdges(grip: GripAtSpeed[], room: Room) {
  const all = grip.flatMap((g) => g.edges);
  const side = Math.max(...all.map((e) => e.lateralG)) * 1.08;
  const up = Math.max(0.3, ...all.map((e) => e.drivingG)) * 1.1;
  const down = Math.max(...all.map((e) => e.brakingG)) * 1.08;
  // One scale for both ways, or the edge would look rounder than it is.
  const perG = Math.min(
    (room.width - room.left - room.right) / (2 * side),
    (room.height - room.top - room.bottom) / (up + down),
  );
  const middle = (room.left + room.width - room.right) / 2;
  const x = scaleLinear([-1, 1], [middle - perG, middle + perG]);
  const zero = room.top + up * perG;
  const y = scaleLinear([-1, 1], [zero + perG, zero - perG]);
  const path = (g: GripAtSpeed) => {
    const drive = g.edges.map((e): [number, number] => [x(e.lateralG), y(e.drivingG)]);
    const brake = g.edges.map((e): [number, number] => [x(e.lateralG), y(-e.brakingG)]);
    const right = [...drive, ...brake.reverse()];
    const left = right.map(([px, py]): [number, number] => [2 * middle - px, py]).reverse();
    return `${line()([...right, ...left]) ?? ''}Z`;
  };
  return {
    x,
    y,
    side,
    up,
    down,
    edges: grip.map((g) => ({ speedMps: g.speedMps, path: path(g) })),
  };
}

/** Ideal front share over deceleration, dry and wet, with the chosen share across. */
export function balancePicture(dry: Balance, wet: Balance, room: Room) {
  const all = [...dry.standing, ...dry.fast];
  const most = Math.max(...all.map((i) => i.decelerationG));
  const shares = [...all.map((i) => i.frontShare), dry.chosen];
  const s = scales(
    room,
    [0, most * 1.03],
    [Math.min(...shares) - 0.02, Math.max(...shares) + 0.02],
  );
  const path = (curve: Ideal[]) =>
    line<Ideal>()
      .x((i) => s.x(i.decelerationG))
      .y((i) => s.y(i.frontShare))(curve) ?? '';
  const end = (curve: Ideal[]) => curve[curve.length - 1];
  return {
    ...s,
    standing: path(dry.standing),
    fast: path(dry.fast),
    wetEnd: end(wet.standing),
    dryEnd: end(dry.standing),
    fastEnd: end(dry.fast),
  };
}
