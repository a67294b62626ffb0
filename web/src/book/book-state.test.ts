import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { View } from '../api/types';

const tried: ((view: View) => void)[] = [];

vi.mock('../api/client', () => ({
  Failed: class Failed extends Error {},
  api: {
    book: async () => ({ revisions: [{ number: 1 }] }),
    checks: async () => [],
    view: async () => lap(100),
    tryOut: () => new Promise<View>((resolve) => tried.push(resolve)),
  },
}));

const { BookState } = await import('./book-state.svelte');

const lap = (time_s: number) =>
  ({ revision: { number: 1, conditions: {}, ownValues: [], lap: { time_s } } }) as unknown as View;
const settled = () => new Promise((resolve) => setTimeout(resolve));

async function opened() {
  const book = new BookState('b');
  await book.open();
  return book;
}

describe('an open book', () => {
  beforeEach(() => {
    tried.length = 0;
    const kept = new Map<string, string>();
    vi.stubGlobal('localStorage', {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
      removeItem: (key: string) => kept.delete(key),
    });
  });

  it('shows what the model says of the draft', async () => {
    const book = await opened();
    book.setOwn(1, 'brake.at_m', 300);
    expect(book.computing).toBe(true);
    tried[0](lap(101));
    await settled();
    expect(book.computing).toBe(false);
    expect(book.view!.revision.lap.time_s).toBe(101);
  });

  it('lets no answer to what was undone come in late', async () => {
    const book = await opened();
    book.setOwn(1, 'brake.at_m', 300);
    book.undo();
    tried[0](lap(101));
    await settled();
    expect(book.view!.revision.lap.time_s).toBe(100);
    expect(book.computing).toBe(false);
  });

  it('counts only the last of two answers that overtake each other', async () => {
    const book = await opened();
    book.setOwn(1, 'brake.at_m', 300);
    book.setOwn(1, 'brake.at_m', 290);
    tried[1](lap(102));
    await settled();
    tried[0](lap(101));
    await settled();
    expect(book.view!.revision.lap.time_s).toBe(102);
  });

  it('asks once while a plate moves, and again for where it stopped', async () => {
    const book = await opened();
    book.moveOwn(1, 'brake.at_m', 299, true);
    book.moveOwn(1, 'brake.at_m', 298, false);
    book.moveOwn(1, 'brake.at_m', 297, false);
    expect(tried).toHaveLength(1);
    tried[0](lap(101));
    await settled();
    expect(tried).toHaveLength(2);
    tried[1](lap(103));
    await settled();
    expect(tried).toHaveLength(2);
    expect(book.view!.revision.lap.time_s).toBe(103);
    book.undo();
    expect(book.history!.now.ownValues).toEqual([]);
  });
});
