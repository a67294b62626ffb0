import type { ActKind } from '../api/runs';

/** How an act is pressed: key, letter of its plate, and what it is called. */
export interface ActKey {
  kind: ActKind;
  key: string;
  shown: string;
  name: string;
}

export const ACT_KEYS: readonly ActKey[] = [
  { kind: 'brake', key: 'b', shown: 'B', name: 'brake' },
  { kind: 'lift', key: 'l', shown: 'L', name: 'lift' },
  { kind: 'turn', key: 't', shown: 'T', name: 'turn in' },
  { kind: 'release', key: 'r', shown: 'R', name: 'off the brake' },
  { kind: 'throttle', key: 'd', shown: 'D', name: 'drive' },
  { kind: 'gear-up', key: 'ArrowUp', shown: '↑', name: 'gear up' },
  { kind: 'gear-down', key: 'ArrowDown', shown: '↓', name: 'gear down' },
];

/** The act of a key; a key that is held down repeats itself, and that is no press. */
export function actOf(event: Pick<KeyboardEvent, 'key' | 'repeat'>): ActKind | undefined {
  if (event.repeat) return undefined;
  const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
  return ACT_KEYS.find((k) => k.key === key)?.kind;
}

/** What a gamepad shows at one moment: both triggers, the wheel or stick, and the two paddles. */
export interface Pad {
  brake: number;
  throttle: number;
  steer: number;
  up: boolean;
  down: boolean;
}

const PEDAL = 0.15;
const STEER = 0.25;

/** Less throttle than this is lifted. */
const LIFTED = 0.85;

/** A gamepad of the standard layout: triggers 6 and 7, shoulders 4 and 5, the left stick. */
export function padOf(gamepad: Pick<Gamepad, 'buttons' | 'axes'>): Pad {
  const value = (k: number) => gamepad.buttons[k]?.value ?? 0;
  return {
    brake: value(6),
    throttle: value(7),
    steer: Math.abs(gamepad.axes[0] ?? 0),
    down: gamepad.buttons[4]?.pressed ?? false,
    up: gamepad.buttons[5]?.pressed ?? false,
  };
}

/** What was done between two looks at a gamepad; letting the brake go is the release,
 * and some of the throttle a lift. */
export function padActs(before: Pad, now: Pad): ActKind[] {
  const rose = (a: number, b: number, least: number) => a <= least && b > least;
  const acts: ActKind[] = [];
  if (rose(before.brake, now.brake, PEDAL)) acts.push('brake');
  if (rose(now.brake, before.brake, PEDAL)) acts.push('release');
  // A foot on its way to the brake lets the throttle fall altogether.
  const some = now.throttle > PEDAL && now.throttle < LIFTED;
  if (before.throttle >= LIFTED && some) acts.push('lift');
  if (rose(before.steer, now.steer, STEER)) acts.push('turn');
  if (rose(before.throttle, now.throttle, PEDAL)) acts.push('throttle');
  if (!before.up && now.up) acts.push('gear-up');
  if (!before.down && now.down) acts.push('gear-down');
  return acts;
}
