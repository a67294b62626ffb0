import { describe, expect, it, vi } from 'vitest';

vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => {} });
const { fieldWords } = await import('./field-words');

describe('what the server says of a value', () => {
  it('is told by the name on the screen', () => {
    const said = { code: 'refused.out-of-bounds', facts: { value: -3, least: 0, most: 2000.5 } };
    const detail = 'tyres.laps (-3) must lie between 0 and 2000.5.';
    expect(fieldWords({ detail, field: 'tyres.laps', said })).toBe(
      'Their laps (-3) must lie between 0 and 2000.5.',
    );
  });

  it('is set off from the name where it does not go on from it', () => {
    const said = { code: 'refused.files-of-outsider', facts: {} };
    expect(fieldWords({ detail: '', field: 'x.y', said })).toBe(
      'The value: are of a driver who is not in the group.',
    );
  });

  it('is the server’s own words where nothing else came', () => {
    expect(fieldWords({ detail: 'It is too much.' })).toBe('The value: It is too much.');
  });
});
