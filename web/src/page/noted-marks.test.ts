import { beforeEach, describe, expect, it, vi } from 'vitest';

import type { BookState } from '../book/book-state.svelte';
import type { CircuitEdits } from '../circuit/types';
import { MARK_KINDS } from './mark-kinds';

const bare = { marks: [], kerbs: [], zones: [], hazards: [], corners: [], widths: [] };
const server = vi.hoisted(() => ({
  edition: 1,
  draft: null as CircuitEdits | null,
  away: undefined as Error | undefined,
}));

vi.mock('../api/client', async () => {
  const { Refused } = await import('../test-server');
  const { testTrace } = await import('../test-lap');
  return {
    Failed: Refused,
    api: {
      circuits: async () => [{ id: 'c', draft: server.draft !== null }],
      circuit: async () => ({
        id: 'c',
        edition: server.edition,
        edits: bare,
        draft: server.draft,
        draftChanges: [],
        road: testTrace(),
      }),
      keepCircuitDraft: async (_: string, edits: CircuitEdits, edition: number) => {
        if (server.away) throw server.away;
        if (edition !== server.edition) throw new Refused(412, { theirs: server.draft ?? {} });
        server.draft = edits;
        const changes = edits.kerbs.map(() => ({ kind: 'KERB' }));
        return { edition: ++server.edition, changes };
      },
    },
  };
});

const { Refused } = await import('../test-server');
const { NotedMarks } = await import('./noted-marks.svelte');
const [board, post] = MARK_KINDS;
const names = () => server.draft!.marks.map((mark) => mark.label);
const opened = () =>
  new NotedMarks({ id: 'b', book: { id: 'b', circuitId: 'c', name: 'Mine' } } as BookState);

describe('marks that are noted from a page', () => {
  beforeEach(() => {
    server.edition = 1;
    server.draft = null;
    server.away = undefined;
  });

  it('wait in the draft of the circuit, each under a name of its own', async () => {
    const noted = opened();
    await noted.note(board, 200, 'LEFT', 110);
    await noted.note(post, 220, 'RIGHT', 90);
    await noted.note(post, 240, 'RIGHT', 70);
    expect(names()).toEqual(['100 board', 'post', 'post 2']);
    await noted.takeBack();
    expect(noted.marks.map((mark) => mark.label)).toEqual(['100 board', 'post']);
    expect(names()).toEqual(['100 board', 'post']);
    const later = opened();
    await later.look();
    expect(later.marks).toHaveLength(2);
  });

  it('are put onto what somebody else kept meanwhile, and take nothing of it away', async () => {
    const noted = opened();
    await noted.note(post, 220, 'RIGHT', 90);
    const theirs = { label: 'oak', fromM: 500, toM: 500 };
    server.draft = {
      ...server.draft!,
      kerbs: [{}],
      marks: [...server.draft!.marks, theirs],
    } as CircuitEdits;
    server.edition++;
    await noted.note(post, 240, 'LEFT', 70);
    expect(noted.problem).toBeUndefined();
    expect(names()).toEqual(['post', 'oak', 'post 2']);
    expect(noted.others).toBe(1);
  });

  it('are not shown as noted while they could not be kept', async () => {
    const noted = opened();
    await noted.note(post, 220, 'RIGHT', 90);
    server.away = new Refused(503);
    await noted.note(post, 240, 'LEFT', 70);
    expect(noted.problem?.status).toBe(503);
    expect(noted.marks).toHaveLength(1);
    expect(names()).toEqual(['post']);
  });
});
