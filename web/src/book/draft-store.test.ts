import { beforeEach, describe, expect, it } from 'vitest';
import type { DraftState } from './draft';
import { fakeStorage } from '../test-storage';
import { DraftStore } from './draft-store';

const draft = (line: DraftState['line']) => ({ line, ownValues: [] }) as unknown as DraftState;

describe('drafts of a book', () => {
  let browser: Storage;
  const of = (window: string, book = 'b') => new DraftStore(book, window, browser);
  beforeEach(() => (browser = fakeStorage()));

  it('are kept a window each, and offered to the others', () => {
    of('one').keep(3, draft('smooth'));
    of('two').keep(3, draft('fastest'));
    expect(of('one').own?.now.line).toBe('smooth');
    expect(of('two').own?.now.line).toBe('fastest');
    expect(
      of('one')
        .others(3)
        .map((d) => d.window),
    ).toEqual(['two']);
    expect(of('three').own).toBeUndefined();
    expect(of('three').others(3)).toHaveLength(2);
  });

  it('are of their revision and their book', () => {
    of('one').keep(3, draft('smooth'));
    expect(of('two').others(4)).toEqual([]);
    expect(of('two', 'other').others(3)).toEqual([]);
  });

  it('go when they are kept or thrown away', () => {
    of('one').keep(3, draft('smooth'));
    of('two').forget('one');
    expect(of('one').own).toBeUndefined();
  });

  it('that cannot be read are none', () => {
    browser.setItem('marvek.draft.b.two', '{half');
    expect(of('one').others(3)).toEqual([]);
  });
});
