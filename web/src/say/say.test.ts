import { afterEach, describe, expect, it, vi } from 'vitest';

import { SENTENCES } from './sentences';

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => {} });
const { preferences } = await import('../units/preferences.svelte');
const { say, problemWords } = await import('./say.svelte');

const crest = { code: 'lap.crest', facts: { at_m: 1234.6, held_mps: 50 } };

describe('sentences of the server', () => {
  afterEach(() => {
    preferences.length = 'm';
    preferences.speed = 'km/h';
  });

  it('are worded as the server words them where the units are its own', () => {
    expect(say(crest)).toBe(
      'The crest 1235 m from the start line would lift the car at more than 180 km/h: the speed is held there.',
    );
    expect(say({ code: 'layout.kerb-gone', facts: { side: 'left', at_m: 80 } })).toBe(
      'the left kerb at 80 m is gone',
    );
    expect(say({ code: 'own.no-such-gear', facts: { gear: 7 } })).toBe('The car has no gear 7.');
  });

  it('come in the units that are chosen', () => {
    preferences.length = 'yd';
    preferences.speed = 'mph';
    expect(say(crest)).toContain('The crest 1350 yd from');
    expect(say(crest)).toContain('more than 112 mph');
  });

  it('say a length as finely as the figure beside it is said', () => {
    const noise_m = 0.346;
    const facts = { moved_m: 0.5, at_m: 250, noise_m };
    expect(say({ code: 'circuit.smoothed', facts })).toContain(
      `as ${preferences.acrossText(noise_m, 2)}.`,
    );
  });

  it('keep words that came as words, whatever stands in them', () => {
    expect(say({ code: 'as-told', facts: { words: '$& of {at_m}' } })).toBe('$& of {at_m}');
  });

  it('of a newer server are told by their code', () => {
    expect(say({ code: 'of.tomorrow', facts: {} })).toBe('of.tomorrow');
  });

  it('hold no braces but those of facts', () => {
    for (const template of Object.values(SENTENCES)) {
      expect(template.replace(/\{\w+(:\d)?(\|word)?\}/g, '')).not.toMatch(/[{}]/);
    }
  });

  it('tell why a value is refused in the units chosen, else as the server words it', () => {
    preferences.length = 'yd';
    const said = { code: 'refused.beyond-lap', facts: { at_m: 5000, lap_m: 4500 } };
    expect(problemWords({ detail: 'in metres', field: 'brake.at_m', said })).toBe(
      'brake.at_m (5468 yd) lies beyond the lap of 4921 yd.',
    );
    expect(problemWords({ detail: 'no such corner' })).toBe('no such corner');
  });
});
