import { fakeStorage } from '../test-storage';
import { afterEach, describe, expect, it, vi } from 'vitest';

vi.stubGlobal('localStorage', fakeStorage());
const { preferences } = await import('../units/preferences.svelte');
const { controlKey, plainKey } = await import('./keys');

const HELD = ['ctrlKey', 'metaKey', 'altKey', 'shiftKey'] as const;

function press(key: string, held: Partial<Record<(typeof HELD)[number], boolean>> = {}, own = '') {
  return {
    key,
    defaultPrevented: false,
    ctrlKey: false,
    metaKey: false,
    altKey: false,
    shiftKey: false,
    ...held,
    target: { closest: (css: string) => (own && css.includes(own) ? {} : null) },
  } as unknown as KeyboardEvent;
}

describe('shortcuts', () => {
  afterEach(() => preferences.setLetterKeys(true));

  it('without a modifier are taken only without one', () => {
    expect(plainKey(press('a'))).toBe('a');
    for (const held of HELD) expect(plainKey(press('a', { [held]: true })), held).toBeUndefined();
    expect(plainKey(press('ArrowRight', { shiftKey: true }))).toBeUndefined();
    expect(plainKey(press('?', { shiftKey: true }))).toBe('?');
  });

  it('are not taken from where keys are typed or choose', () => {
    expect(plainKey(press('a', {}, 'input'))).toBeUndefined();
    expect(plainKey(press('ArrowRight', {}, 'tablist'))).toBeUndefined();
    expect(plainKey(press('c', {}, 'tablist'))).toBe('c');
  });

  it('of letters, figures and signs can be switched off, arrows and Ctrl stay', () => {
    preferences.setLetterKeys(false);
    for (const key of ['a', '7', '?', 'ä']) expect(plainKey(press(key)), key).toBeUndefined();
    expect(plainKey(press('ArrowLeft'))).toBe('ArrowLeft');
    expect(controlKey(press('z', { ctrlKey: true }))).toBe('z');
    preferences.setLetterKeys(true);
    expect(plainKey(press('a'))).toBe('a');
  });

  it('with Ctrl are taken with that alone', () => {
    expect(controlKey(press('Z', { ctrlKey: true }))).toBe('z');
    expect(controlKey(press('z', { metaKey: true }))).toBe('z');
    expect(controlKey(press('z'))).toBeUndefined();
    expect(controlKey(press('z', { ctrlKey: true, shiftKey: true }))).toBeUndefined();
    expect(controlKey(press('z', { ctrlKey: true, altKey: true }))).toBeUndefined();
  });
});
