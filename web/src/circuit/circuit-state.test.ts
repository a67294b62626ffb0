import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { CircuitEdits, CircuitView } from './types';
import { testTrace } from '../test-lap';
import { Refused } from '../test-server';

const server = vi.hoisted(() => ({
  edition: 3,
  draft: null as CircuitEdits | null,
  kept: [] as string[],
  refuse: undefined as Error | undefined,
}));

const bare: CircuitEdits = {
  name: 'Low Moor',
  layout: '',
  timeZone: 'UTC',
  trackLimits: 'FREE',
  stretches: [],
  marks: [],
  kerbs: [],
  zones: [],
  hazards: [],
  corners: [{ number: 1, name: 'Mill', fromM: 280, toM: 380, linkWithNext: false }],
  widths: [],
};

vi.mock('../api/client', async () => {
  const { Refused } = await import('../test-server');
  const { testTrace } = await import('../test-lap');
  const view = (): CircuitView => ({
    id: 'c',
    edition: server.edition,
    name: 'Low Moor',
    layout: '',
    version: 2,
    newestId: 'c',
    inUse: true,
    versions: [],
    edits: bare,
    draft: server.draft,
    draftChanges: [],
    surveyNoise_m: 0,
    largestMove_m: 0,
    corners: [],
    untrueBoards: [],
    road: testTrace(),
  });
  return {
    Failed: Refused,
    api: {
      circuit: async () => view(),
      keepCircuitDraft: async (_: string, edits: CircuitEdits, edition: number) => {
        if (server.refuse) throw server.refuse;
        if (edition !== server.edition) throw new Refused(412, { theirs: server.draft ?? {} });
        server.draft = edits;
        server.kept.push(edits.marks.map((m) => m.label).join(','));
        return { edition: ++server.edition, changes: [] };
      },
      discardCircuitDraft: async () => {
        server.draft = null;
        server.edition++;
      },
      keepLayout: async () => ({ id: 'd', version: 3, changes: [] }),
    },
  };
});

const { CircuitState } = await import('./circuit-state.svelte');

async function opened() {
  const circuit = new CircuitState('c');
  await circuit.open();
  return circuit;
}

describe('a circuit that is edited', () => {
  beforeEach(() => {
    server.edition = 3;
    server.draft = null;
    server.kept = [];
    server.refuse = undefined;
  });

  it('adds where it is looked at, picks what was added, and undoes and redoes it', async () => {
    const circuit = await opened();
    circuit.goTo(200);
    circuit.add('marks', 'LEFT');
    expect(circuit.thing?.fromM).toBe(200);
    circuit.nudge(5);
    expect(circuit.edits!.marks[0].fromM).toBe(205);
    expect(circuit.cursor).toBe(205);
    circuit.undo();
    circuit.undo();
    expect(circuit.edits!.marks).toEqual([]);
    expect(circuit.selection).toBeUndefined();
    circuit.redo();
    expect(circuit.edits!.marks).toHaveLength(1);
  });

  it('goes round the line with the place that is looked at', async () => {
    const circuit = await opened();
    const lap = testTrace().length_m;
    circuit.goTo(lap + 12);
    expect(circuit.cursor).toBeCloseTo(12);
    circuit.nudge(-20);
    expect(circuit.cursor).toBeCloseTo(lap - 8);
    expect(circuit.cornerAt(300)).toBe(1);
    expect(circuit.cornerAt(500)).toBe(0);
  });

  it('keeps the last of several edits, made from what was kept before', async () => {
    const circuit = await opened();
    circuit.add('marks');
    const first = circuit.save();
    circuit.add('marks');
    const second = circuit.save();
    await Promise.all([first, second]);
    expect(server.draft?.marks).toHaveLength(2);
    circuit.remove();
    await circuit.save();
    expect(server.draft?.marks).toHaveLength(1);
    expect(circuit.problem).toBeUndefined();
    expect(circuit.saving).toBe(false);
  });

  it('takes back what cannot be, which redo has again', async () => {
    const circuit = await opened();
    circuit.add('marks');
    server.refuse = new Refused(422);
    await circuit.save();
    expect(circuit.problem?.status).toBe(422);
    expect(circuit.edits!.marks).toEqual([]);
    circuit.redo();
    expect(circuit.edits!.marks).toHaveLength(1);
  });

  it('shows what somebody else kept and takes theirs or keeps its own', async () => {
    const circuit = await opened();
    server.edition = 9;
    server.draft = { ...bare, name: 'High Moor' };
    circuit.add('marks');
    await circuit.save();
    expect(circuit.theirs?.name).toBe('High Moor');
    expect(await circuit.keep('walked', '')).toBeUndefined();
    await circuit.keepMine();
    expect(circuit.theirs).toBeUndefined();
    expect(server.draft?.marks).toHaveLength(1);

    server.edition = 20;
    server.draft = { ...bare, name: 'Deep Moor' };
    circuit.add('marks');
    await circuit.save();
    await circuit.takeTheirs();
    expect(circuit.edits!.name).toBe('Deep Moor');
    expect(circuit.edits!.marks).toEqual([]);
  });

  it('draws what is dragged and makes it one step when it is dropped', async () => {
    const circuit = await opened();
    const dragged = { ...bare, name: 'dragged' };
    circuit.dragged = dragged;
    expect(circuit.edits).toBe(dragged);
    expect(circuit.changed).toBe(false);
    circuit.drop();
    expect(circuit.edits!.name).toBe('dragged');
    expect(circuit.changed).toBe(true);
    await circuit.discard();
    expect(circuit.edits!.name).toBe('Low Moor');
    expect(await circuit.keep('', '2026-05-01')).toBe('d');
  });
});
