import { describe, expect, it, vi } from 'vitest';

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => {} });
const { preferences } = await import('./preferences.svelte');

describe('lengths and speeds in the units chosen', () => {
  it('says a number of the server as the figure beside it says it', () => {
    const noise = 0.346;
    const told = `their noise is estimated as ${noise.toFixed(2)} m.`;
    expect(preferences.inUnits(told)).toContain(`as ${preferences.acrossText(noise, 2)}.`);
    expect(preferences.inUnits('10.0 m apart, at 250 m')).toBe('10.0 m apart, at 250 m');
  });

  it('turns metres and km/h of a remark into yards and miles', () => {
    preferences.length = 'yd';
    preferences.speed = 'mph';
    expect(preferences.inUnits('100 m on, 0.5 m wide, 100 km/h')).toBe(
      '109 yd on, 0.5 yd wide, 62 mph',
    );
    preferences.length = 'm';
    preferences.speed = 'km/h';
  });
});
