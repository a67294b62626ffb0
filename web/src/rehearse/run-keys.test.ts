import { describe, expect, it } from 'vitest';
import { actOf, padActs, padOf, type Pad } from './run-keys';

const idle: Pad = { brake: 0, throttle: 0, steer: 0, up: false, down: false };

describe('keys of a run', () => {
  it('are the letters of the plates and two arrows', () => {
    expect(actOf({ key: 'B', repeat: false })).toBe('brake');
    expect(actOf({ key: 'ArrowDown', repeat: false })).toBe('gear-down');
    expect(actOf({ key: 'l', repeat: false })).toBe('lift');
    expect(actOf({ key: 'x', repeat: false })).toBeUndefined();
  });

  it('that are held down count once', () => {
    expect(actOf({ key: 'b', repeat: true })).toBeUndefined();
  });
});

describe('a gamepad', () => {
  it('tells what was begun and that the brake was let go', () => {
    expect(padActs(idle, { ...idle, brake: 0.8 })).toEqual(['brake']);
    expect(padActs({ ...idle, brake: 0.8 }, { ...idle, brake: 0.3 })).toEqual([]);
    expect(padActs({ ...idle, brake: 0.3 }, { ...idle, steer: 0.5 })).toEqual(['release', 'turn']);
    expect(padActs(idle, { ...idle, throttle: 1, up: true })).toEqual(['throttle', 'gear-up']);
  });

  it('tells a lift from a foot on its way to the brake', () => {
    expect(padActs({ ...idle, throttle: 1 }, { ...idle, throttle: 0.5 })).toEqual(['lift']);
    expect(padActs({ ...idle, throttle: 1 }, { ...idle, throttle: 0 })).toEqual([]);
    expect(padActs({ ...idle, throttle: 0.5 }, { ...idle, throttle: 0.4 })).toEqual([]);
  });

  // Buttons by the W3C Gamepad specification, "standard gamepad" layout.
  it('is read by the standard layout', () => {
    const buttons = Array.from({ length: 17 }, (_, k) => ({
      value: k === 6 ? 0.5 : 0,
      pressed: k === 5,
      touched: false,
    }));
    expect(padOf({ buttons, axes: [-0.6, 0] })).toEqual({
      brake: 0.5,
      throttle: 0,
      steer: 0.6,
      up: true,
      down: false,
    });
    expect(padOf({ buttons: [], axes: [] })).toEqual(idle);
  });
});
