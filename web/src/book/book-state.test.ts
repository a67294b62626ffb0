import { fakeStorage } from '../test-storage';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Conditions, View } from '../api/types';

const tried: ((view: View) => void)[] = [];

/** What the server has kept, and what it says to a search or to keeping. */
const server = {
  revisions: [{ number: 1 }],
  search: { id: 'b' } as { id?: string; job?: string },
  jobs: [] as { status: string; progress: number; result?: { id: string } }[],
  refusal: 0,
};

vi.mock('../api/client', async () => {
  const { Failed } = await vi.importActual<typeof import('../api/http')>('../api/http');
  return {
    Failed,
    api: {
      ...calls(),
      keep: async () => {
        if (server.refusal) throw new Failed({ status: server.refusal, detail: 'no', title: 'no' });
        return { number: 2 };
      },
    },
  };
});

const calls = vi.hoisted(() => () => ({
  book: async () => ({ revisions: server.revisions }),
  checks: async () => [],
  newestView: async () => lap(100, server.revisions.at(-1)!.number),
  view: async (_: string, number: number) => lap(100, number),
  revision: async (_: string, number: number) => theirs(number),
  change: () => new Promise<View>((resolve) => tried.push(resolve)),
  searchLine: async () => server.search,
  job: async () => ({ id: 'j', ...server.jobs.shift()! }),
}));

const { BookState } = await import('./book-state.svelte');
const { queries } = await import('../api/asking.svelte');

const lap = (time_s: number, number = 1) =>
  ({
    revision: { number, conditions: {}, line: 'smooth', ownValues: [], lap: { time_s }, pages: [] },
    trace: { runs: [] },
  }) as unknown as View;
const theirs = (number: number) => ({
  number,
  reason: 'quicker',
  conditions: {},
  line: 'smooth',
  ownValues: [{ corner: 2, 'gears.corner': 3 }],
});
const settled = () => new Promise((resolve) => setTimeout(resolve));

async function opened() {
  const book = new BookState('b');
  await book.open();
  return book;
}

describe('an open book', () => {
  beforeEach(() => {
    tried.length = 0;
    queries.clear();
    server.revisions = [{ number: 1 }];
    server.search = { id: 'b' };
    server.jobs = [];
    server.refusal = 0;
    vi.stubGlobal('localStorage', fakeStorage());
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
    await settled();
    book.undo();
    tried[0](lap(101));
    await settled();
    expect(book.view!.revision.lap.time_s).toBe(100);
    expect(book.computing).toBe(false);
  });

  it('asks for the second of two changes when the first is answered', async () => {
    const book = await opened();
    book.setOwn(1, 'brake.at_m', 300);
    book.setOwn(1, 'brake.at_m', 290);
    await settled();
    expect(tried).toHaveLength(1);
    tried[0](lap(101));
    await settled();
    expect(tried).toHaveLength(2);
    expect(book.computing).toBe(true);
    tried[1](lap(102));
    await settled();
    expect(book.view!.revision.lap.time_s).toBe(102);
    expect(book.computing).toBe(false);
  });

  it('lets no answer to the draft of another revision come in late', async () => {
    const book = await opened();
    book.setOwn(1, 'brake.at_m', 300);
    await settled();
    server.revisions = [{ number: 1 }, { number: 2 }];
    await book.keep('kept while it was computed');
    tried[0](lap(101));
    await settled();
    expect(book.base!.revision.number).toBe(2);
    expect(book.view).toBe(book.base);
    expect(book.computing).toBe(false);
  });

  it('takes an undone step up again from what was answered before', async () => {
    const book = await opened();
    book.setOwn(1, 'brake.at_m', 300);
    await settled();
    tried[0](lap(101));
    await settled();
    book.undo();
    book.redo();
    await settled();
    expect(tried).toHaveLength(1);
    expect(book.view!.revision.lap.time_s).toBe(101);
  });

  it('asks once while a plate moves, and again for where it stopped', async () => {
    const book = await opened();
    book.moveOwn(1, { 'brake.at_m': 299 }, true);
    book.moveOwn(1, { 'brake.at_m': 298 }, false);
    book.moveOwn(1, { 'brake.at_m': 297 }, false);
    await settled();
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

  it('takes another line once it is found, as one step', async () => {
    const book = await opened();
    server.search = { job: 'j' };
    server.jobs = [
      { status: 'running', progress: 0.5 },
      { status: 'done', progress: 1, result: { id: 'b' } },
    ];
    const choosing = book.setLine('fastest');
    await settled();
    expect(book.searching?.progress).toBe(0.5);
    await choosing;
    expect(book.searching).toBeUndefined();
    expect(book.history!.now.line).toBe('fastest');
    expect(book.changes).toBe(1);
    book.undo();
    expect(book.history!.now.line).toBe('smooth');
  });

  it('searches the fastest line again for another day, and gives the day back if that is stopped', async () => {
    const book = await opened();
    await book.setLine('fastest');
    await settled();
    tried[0](lap(99));
    await settled();
    server.search = { job: 'j' };
    server.jobs = [{ status: 'cancelled', progress: 0.2 }];
    book.setConditions({ surface: 'damp' } as Conditions);
    await settled();
    expect(book.history!.now).toMatchObject({ line: 'fastest', conditions: {} });
    expect(book.history!.now.conditions.surface).toBeUndefined();
    expect(book.view!.revision.lap.time_s).toBe(99);
    expect(book.computing).toBe(false);
  });

  it('leaves the line as it was when the search is cancelled', async () => {
    const book = await opened();
    server.search = { job: 'j' };
    server.jobs = [{ status: 'cancelled', progress: 0.3 }];
    await book.setLine('fastest');
    expect(book.history!.now.line).toBe('smooth');
    expect(book.changes).toBe(0);
  });

  it('points to a setup sheet and away from it again', async () => {
    const book = await opened();
    book.setSetup({ name: 'Wet' });
    expect(book.draft().setup).toEqual({ name: 'Wet' });
    expect(book.changes).toBe(1);
    book.setSetup(undefined);
    expect(book.changes).toBe(0);
  });

  it('lays beside the draft what somebody else kept meanwhile, and goes on from there', async () => {
    const book = await opened();
    book.setOwn(1, 'brake.at_m', 300);
    server.refusal = 409;
    server.revisions = [{ number: 1 }, { number: 2 }];
    expect(await book.keep('mine')).toBe(false);
    expect(book.theirs?.number).toBe(2);
    expect(book.problem).toBeUndefined();
    expect(book.history!.now.ownValues).toEqual([{ corner: 1, 'brake.at_m': 300 }]);
    await book.goOnFromTheirs({
      ...book.before,
      ownValues: [
        { corner: 1, 'brake.at_m': 300 },
        { corner: 2, 'gears.corner': 3 },
      ],
    });
    expect(book.theirs).toBeUndefined();
    expect(book.base!.revision.number).toBe(2);
    expect(book.draft()).toMatchObject({ parent: 2 });
    expect(book.history!.now.ownValues).toHaveLength(2);
  });

  it('says any other refusal as it is', async () => {
    const book = await opened();
    server.refusal = 422;
    book.setOwn(1, 'brake.at_m', 300);
    expect(await book.keep('mine')).toBe(false);
    expect(book.theirs).toBeUndefined();
    expect(book.problem).toMatchObject({ status: 422 });
  });
});
