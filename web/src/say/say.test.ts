import { afterEach, describe, expect, it, vi } from 'vitest';

import { OTHER_SENTENCES } from './other-sentences';
import { PAGE_SENTENCES } from './page-sentences';

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => {} });
const { preferences } = await import('../units/preferences.svelte');
const { say, problemTitle, problemWords, reasonWords } = await import('./every');
const SENTENCES = { ...PAGE_SENTENCES, ...OTHER_SENTENCES };

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

  it('have words for what stands in a list', () => {
    const facts = { rows: 100, channels: 'brake 20, rpm 10.5' };
    expect(say({ code: 'laps.rates', facts })).toMatch(
      /laid between: brake 20, engine speed 10.5\.$/,
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
      expect(template.replace(/\{\w+(:[\dn])?(\|word)?\}/g, '')).not.toMatch(/[{}]/);
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

  it('tell a value as it was given', () => {
    const said = { code: 'refused.out-of-bounds', facts: { value: 0.35, least: 1, most: 2.5 } };
    expect(problemWords({ detail: '', field: 'gearbox.ratios', index: 3, said })).toBe(
      'gearbox.ratios[3] (0.35) must lie between 1 and 2.5.',
    );
  });

  it('tell where in a file it is, and that nothing was stored', () => {
    const type = 'urn:marvek:problem:bad-file';
    const said = { code: 'file.no-number', facts: { given: 'abc' } };
    const at = (place: object) => problemWords({ detail: '', type, said, ...place });
    expect(at({ line: 7, column: 'x_m' })).toBe(
      'Line 7, x_m: "abc" is not a number. Nothing was stored.',
    );
    expect(at({ line: 7 })).toBe('Line 7: "abc" is not a number. Nothing was stored.');
    expect(at({ pointer: '/a/0' })).toBe('At /a/0: "abc" is not a number. Nothing was stored.');
    expect(at({ pointer: '' })).toBe('At the top: "abc" is not a number. Nothing was stored.');
    expect(reasonWords({ detail: '', type, said })).toBe('"abc" is not a number.');
  });

  it('call a problem by its type, one of a newer server by its own title', () => {
    const title = 'As the server calls it';
    expect(problemTitle({ type: 'urn:marvek:problem:bad-file', title })).toBe(
      'The file cannot be taken in',
    );
    expect(problemTitle({ type: 'urn:marvek:problem:of-tomorrow', title })).toBe(title);
    expect(problemTitle({ title })).toBe(title);
  });
});
