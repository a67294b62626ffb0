import { describe, expect, it, vi } from 'vitest';

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => {} });
const { preferences } = await import('./preferences.svelte');

describe('lengths and speeds in the units chosen', () => {
  it('are told whole along the road and to a decimal across it', () => {
    expect(preferences.lengthText(99.6)).toBe('100 m');
    expect(preferences.acrossText(-0.46)).toBe('−0.5 m');
    expect(preferences.acrossText(0.346, 2)).toBe('0.35 m');
    expect(preferences.speedText(50)).toBe('180 km/h');
  });

  it('are in yards and miles an hour where those are chosen', () => {
    preferences.length = 'yd';
    preferences.speed = 'mph';
    expect(preferences.lengthText(100)).toBe('109 yd');
    expect(preferences.acrossText(0.5)).toBe('0.5 yd');
    expect(preferences.speedText(100 / 3.6)).toBe('62 mph');
    preferences.length = 'm';
    preferences.speed = 'km/h';
  });
});
