import { describe, expect, it } from 'vitest';
import { controlKey, plainKey, tabFor } from './keys';

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

  it('with Ctrl are taken with that alone', () => {
    expect(controlKey(press('Z', { ctrlKey: true }))).toBe('z');
    expect(controlKey(press('z', { metaKey: true }))).toBe('z');
    expect(controlKey(press('z'))).toBeUndefined();
    expect(controlKey(press('z', { ctrlKey: true, shiftKey: true }))).toBeUndefined();
    expect(controlKey(press('z', { ctrlKey: true, altKey: true }))).toBeUndefined();
  });
});

it('keys lead along tabs and round their ends', () => {
  expect(tabFor('ArrowRight', 2, 3)).toBe(0);
  expect(tabFor('ArrowLeft', 0, 3)).toBe(2);
  expect(tabFor('Home', 2, 3)).toBe(0);
  expect(tabFor('End', 0, 3)).toBe(2);
  expect(tabFor('a', 0, 3)).toBeUndefined();
});
