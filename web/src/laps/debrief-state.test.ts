import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Columns, Debrief, DrivenLap, LapPreview, Whose } from '../api/laps';
import type { View, Sentence } from '../api/types';
import { testPage, testTrace } from '../test-lap';
import { Refused } from '../test-server';

const NO_SPEEDS: Sentence = { code: 'laps.without-speeds', facts: {} };

const server = vi.hoisted(() => ({
  debrief: undefined as unknown as Debrief,
  missing: [] as Sentence[],
  mapped: [] as Columns[],
  whose: [] as Whose[],
  surfaces: [] as string[],
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
  corners: [{ corner: 1, time_s: 5, delta_s: charged_s }],
});

vi.mock('../api/client', async () => {
  const { Refused } = await import('../test-server');
  return {
    Failed: Refused,
    api: {
      session: async () => ({ id: 's' }),
      view: async (_: string, number: number): Promise<View> => {
        server.views++;
        return { revision: { number, pages: [testPage()] }, trace: testTrace() } as View;
      },
    },
  };
});

vi.mock('../api/lap-calls', () => {
  const preview = (headerLine: number): LapPreview => ({
    kind: 'csv',
    headerLine: headerLine || 1,
    lines: [],
    columns: [],
    missing: server.missing,
    remembered: false,
    choices: [],
  });
  return {
    lapCalls: {
      causes: async () => ({ findings: [], laps: [], guesses: [] }),
      debrief: async (_: string, whose: Whose) => ({ ...server.debrief, ...whose }),
      saySurface: async (_: string, surface: string) => void server.surfaces.push(surface),
      previewLaps: async (_: string, __: File, columns: Columns) => {
        if (server.refuse) throw server.refuse;
        if (Object.keys(columns.mapping).length) server.missing = [];
        return preview(columns.headerLine);
      },
      addLaps: async (
        _: string,
        file: File,
        columns: Columns,
        whose: Whose,
        told: (share: number) => void,
      ) => {
        told(1);
        server.mapped.push(columns);
        server.whose.push(whose);
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
    Object.assign(server, {
      missing: [],
      mapped: [],
      whose: [],
      surfaces: [],
      kinds: [],
      refuse: undefined,
      views: 0,
    });
    server.debrief = {
      revision: 2,
      lap_s: 68,
      driver: '',
      vehicle: '',
      drivers: [{ driver: '', vehicle: '' }],
      surface: 'wet',
      page: [{ corner: 1, time_s: 4.8 }],
      laps: [lap(1, 71, 0.4), lap(2, 69.5, 0.2), { ...lap(3, 60, 0), kind: 'off' }],
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

  it('shows what a file would become, and keeps nothing until it is taken', async () => {
    const desk = await loaded();
    await desk.take(file());
    expect(desk.asking?.file.name).toBe('stint.csv');
    expect(desk.looking).toBe('');
    expect(server.mapped).toEqual([]);
    await desk.takeAsked();
    expect(desk.asking).toBeUndefined();
    expect(desk.taking).toBeUndefined();
    expect(desk.laps.map((l) => l.number)).toContain(9);
  });

  it('points at the row of headers, and names whose laps they are', async () => {
    const desk = await loaded();
    await desk.take(file());
    await desk.point(7);
    expect(desk.asking?.preview.headerLine).toBe(7);
    desk.nameWhose({ driver: 'R. Quill', vehicle: '' });
    await desk.takeAsked();
    expect(server.mapped).toEqual([{ mapping: {}, headerLine: 7 }]);
    expect(server.whose).toEqual([{ driver: 'R. Quill', vehicle: '' }]);
    expect(desk.whose.driver).toBe('R. Quill');
  });

  it('looks at another driver, and says what the road was', async () => {
    const desk = await loaded();
    await desk.look({ driver: 'R. Quill', vehicle: 'spare' });
    expect(desk.debrief?.driver).toBe('R. Quill');
    await desk.saySurface('dry');
    expect(server.surfaces).toEqual(['dry']);
  });

  it('asks where columns are missing, and brings the file in as they were named', async () => {
    server.missing = [NO_SPEEDS];
    const desk = await loaded();
    await desk.take(file());
    expect(desk.asking?.preview.missing).toEqual([NO_SPEEDS]);
    expect(server.mapped).toEqual([]);
    await desk.map('Speed', 'speed_mps');
    expect(desk.asking?.preview.missing).toEqual([]);
    await desk.takeAsked();
    expect(server.mapped).toEqual([{ mapping: { Speed: 'speed_mps' }, headerLine: 0 }]);
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
