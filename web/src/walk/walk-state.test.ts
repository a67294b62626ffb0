import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { CircuitEdits, CircuitView, WalkNote, WalkView } from '../circuit/types';
import { testTrace } from '../test-lap';
import { Refused } from '../test-server';

const server = vi.hoisted(() => ({
  walk: undefined as unknown as WalkView,
  draft: undefined as CircuitEdits | undefined,
  refuse: undefined as Error | undefined,
}));

const said = (words: string) => ({ code: 'as-told', facts: { words } });
const item = (key: string) =>
  ({ key, station_m: 100, why: 'MARK_MISSING', said: said(key) }) as const;

vi.mock('../api/client', async () => {
  const { Refused } = await import('../test-server');
  const answer = async () => {
    if (server.refuse) throw server.refuse;
    return server.walk;
  };
  return {
    Failed: Refused,
    api: {
      walk: answer,
      circuit: async () =>
        ({
          edition: 4,
          edits: { marks: [], corners: [] as CircuitEdits['corners'] } as Partial<CircuitEdits>,
          road: testTrace(),
        }) as unknown as CircuitView,
      beginWalk: async () => (server.walk = { ...server.walk, id: 'w' }),
      tick: async (_: string, key: string, done: boolean) => {
        const others = server.walk.ticked.filter((k) => k !== key);
        server.walk = { ...server.walk, ticked: done ? [...others, key] : others };
        return answer();
      },
      keepCircuitDraft: async (_: string, edits: CircuitEdits) => void (server.draft = edits),
      finishWalk: async () => ({ circuitId: 'd', version: 2, changes: [] }),
    },
  };
});

const { WalkState } = await import('./walk-state.svelte');

async function opened() {
  const state = new WalkState('c');
  await state.open();
  return state;
}

describe('a walk round a circuit', () => {
  beforeEach(() => {
    server.walk = {
      edition: 0,
      list: [item('a'), item('b')],
      ticked: [],
      notes: [],
      changes: [],
    };
    server.draft = server.refuse = undefined;
  });

  it('begins, and counts what is left', async () => {
    const state = await opened();
    expect(state.begun).toBe(false);
    await state.begin();
    expect(state.begun).toBe(true);
    await state.tick('a', true);
    expect(state.left).toBe(1);
    await state.tick('a', false);
    expect(state.left).toBe(2);
  });

  it('says what is refused and stays as it was', async () => {
    const state = await opened();
    await state.begin();
    server.refuse = new Refused(503);
    expect(await state.tick('b', true)).toBe(false);
    expect(state.problem?.status).toBe(503);
    expect(state.left).toBe(2);
    expect(state.busy).toBe(false);
  });

  it('makes a mark of a note, called by the first of its words', async () => {
    const state = await opened();
    await state.begin();
    const note = {
      station_m: 210,
      side: 'left',
      words: 'Old oak: stands in the shade at noon',
    } as WalkNote;
    await state.makeMark(note);
    expect(server.draft?.marks).toMatchObject([
      { label: 'Old oak', side: 'LEFT', fromM: 210, type: 'OTHER', note: note.words },
    ]);
    expect((await state.finish('walked', ''))?.circuitId).toBe('d');
  });
});
