import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Debrief, DrivenLap, LapPreview, Mapping } from '../api/laps';
import type { View } from '../api/types';
import { testPage, testTrace } from '../test-lap';
import { Refused } from '../test-server';

const server = vi.hoisted(() => ({
  debrief: undefined as unknown as Debrief,
  missing: [] as string[],
  mapped: [] as Mapping[],
  kinds: [] as (string | null)[],
  refuse: undefined as Error | undefined,
  views: 0,
}));

const lap = (number: number, time_s: number, charged_s: number): DrivenLap => ({
  id: `f.${number}`,
  file: 'f',
  number,
  kind: 'flying',
  recognised: 'flying',
  whole: true,
  time_s,
  corners: [{ corner: 1, time_s: 5, delta_s: charged_s, charged_s }],
});

vi.mock('../api/client', async () => {
  const { Refused } = await import('../test-server');
  const preview = (): LapPreview => ({
    columns: [],
    missing: server.missing,
    remembered: false,
    choices: [],
  });
  return {
    Failed: Refused,
    api: {
      session: async () => ({ id: 's' }),
      debrief: async () => server.debrief,
      view: async (_: string, number: number): Promise<View> => {
        server.views++;
        return { revision: { number, pages: [testPage()] }, trace: testTrace() } as View;
      },
      previewLaps: async (_: File, mapping: Mapping) => {
        if (server.refuse) throw server.refuse;
        if (Object.keys(mapping).length) server.missing = [];
        return preview();
      },
      addLaps: async (_: string, file: File, mapping: Mapping, told: (share: number) => void) => {
        told(1);
        server.mapped.push(mapping);
        server.debrief = { ...server.debrief, laps: [...server.debrief.laps, lap(9, 70, 0.1)] };
        return { name: file.name };
      },
      sayKind: async (_: string, __: number, kind: string | null) => void server.kinds.push(kind),
      dismiss: async () => {
        if (server.refuse) throw server.refuse;
      },
    },
  };
});

const { DebriefDesk } = await import('./debrief-state.svelte');

async function loaded() {
  const desk = new DebriefDesk('b', 's');
  await desk.load();
  return desk;
}
const file = () => new File(['Time,Speed\n'], 'stint.csv');

describe('the debrief of a session', () => {
  beforeEach(() => {
    Object.assign(server, { missing: [], mapped: [], kinds: [], refuse: undefined, views: 0 });
    server.debrief = {
      revision: 2,
      lap_s: 68,
      page: [{ corner: 1, time_s: 4.8 }],
      laps: [lap(1, 71, 0.4), lap(2, 69.5, 0.2), { ...lap(3, 60, 0), kind: 'off' }],
      findings: [],
      remarks: [],
      files: [],
    };
  });

  it('takes flying laps alone; the quickest of them is the best', async () => {
    const desk = await loaded();
    expect(desk.laps.map((l) => l.number)).toEqual([1, 2]);
    expect(desk.best?.number).toBe(2);
    expect(desk.corner).toBe(1);
    expect(desk.page?.corner).toBe(1);
  });

  it('reads the revision once, as long as the laps are read against it', async () => {
    const desk = await loaded();
    await desk.load();
    expect(server.views).toBe(1);
    server.debrief = { ...server.debrief, revision: 3 };
    await desk.load();
    expect(desk.view?.revision.number).toBe(3);
  });

  it('brings a file in whose columns are known', async () => {
    const desk = await loaded();
    await desk.take(file());
    expect(desk.asking).toBeUndefined();
    expect(desk.taking).toBeUndefined();
    expect(desk.laps.map((l) => l.number)).toContain(9);
  });

  it('asks where columns are missing, and brings the file in as they were named', async () => {
    server.missing = ['speed_mps'];
    const desk = await loaded();
    await desk.take(file());
    expect(desk.asking?.preview.missing).toEqual(['speed_mps']);
    expect(server.mapped).toEqual([]);
    await desk.map('Speed', 'speed_mps');
    expect(desk.asking?.preview.missing).toEqual([]);
    await desk.takeMapped();
    expect(server.mapped).toEqual([{ Speed: 'speed_mps' }]);
    expect(desk.asking).toBeUndefined();
  });

  it('says what is refused, and the next try puts it away', async () => {
    const desk = await loaded();
    server.refuse = new Refused(422, { detail: 'no laps in it' });
    await desk.take(file());
    expect(desk.problem?.detail).toBe('no laps in it');
    server.refuse = undefined;
    await desk.take(file());
    expect(desk.problem).toBeUndefined();
  });

  it('gives a kind back to Marvek where it is the recognised one', async () => {
    const desk = await loaded();
    await desk.sayKind(desk.laps[0], 'off');
    await desk.sayKind(desk.laps[0], 'flying');
    expect(server.kinds).toEqual(['off', null]);
  });
});
