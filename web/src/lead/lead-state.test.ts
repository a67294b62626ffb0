import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { GroupRemark, Lead, LeadDay } from '../api/lead';

const server = vi.hoisted(() => ({
  day: undefined as unknown as LeadDay,
  changes: 0,
  remarks: [] as GroupRemark[],
  conflict: false,
  said: 0,
}));

vi.mock('../api/client', async () => {
  const { Failed } = await vi.importActual<typeof import('../api/http')>('../api/http');
  const lead = (): Lead => ({
    day: server.day,
    edition: server.changes,
    turns: [
      { fromLap: 1, toLap: 2, order: ['ada', 'ben'] },
      { fromLap: 3, toLap: 4, order: ['ben', 'ada'] },
    ],
    remarks: server.remarks,
    files: [],
    findings: [],
  });
  return {
    Failed,
    api: {
      lead: async () => lead(),
      changeLead: async (_: string, day: LeadDay, edition: number) => {
        if (server.conflict || edition !== server.changes) {
          throw new Failed({ status: 412, title: 'conflict', detail: 'changed meanwhile' });
        }
        server.changes++;
        server.day = day;
        return lead();
      },
      sayToDriver: async (_: string, said: Omit<GroupRemark, 'id' | 'edition'>) => ({
        ...said,
        id: `r${server.said++}`,
        edition: 0,
        lap: server.day.lap,
        state: said.good ? 'taken' : 'open',
      }),
      seeRemark: async ({ id, edition }: GroupRemark, state: GroupRemark['state']) => {
        const stored = server.remarks.find((r) => r.id === id);
        if (stored && stored.edition !== edition) {
          throw new Failed({ status: 412, title: 'conflict', detail: 'changed meanwhile' });
        }
        return {
          ...({
            id,
            driver: 'ada',
            corner: 4,
            lap: 1,
            words: 'Early',
            good: false,
            own: false,
          } as GroupRemark),
          state,
        };
      },
      takeBackRemark: async () => undefined,
    },
  };
});

const { LeadDesk } = await import('./lead-state.svelte');

const fresh: LeadDay = {
  drivers: ['ada', 'ben'].map((key) => ({
    key,
    name: key,
    vehicle: '',
    fromLap: 1,
    goneFromLap: null,
  })),
  lapsEach: 2,
  laps: 4,
  lap: 1,
  paceShare: 0.7,
  words: [],
  cones: [],
  safetyBrief: [],
  files: [],
};

async function desk() {
  const made = new LeadDesk('s');
  await made.load();
  return made;
}

describe('a led day on the screen', () => {
  beforeEach(() => {
    server.day = fresh;
    server.changes = 0;
    server.remarks = [];
    server.conflict = false;
  });

  it('looks at the one behind the leader until somebody is chosen', async () => {
    const lead = await desk();
    expect(lead.driver?.key).toBe('ada');
    await lead.toLap(3);
    expect(lead.driver?.key).toBe('ben');
    lead.chosen = 'ada';
    expect(lead.driver?.key).toBe('ada');
  });

  it('keeps changes one after the other, each from what the one before left', async () => {
    const lead = await desk();
    await Promise.all([
      lead.change((d) => ({ ...d, lapsEach: 3 })),
      lead.change((d) => ({ ...d, laps: 9 })),
      lead.change((d) => ({ ...d, paceShare: 0.8 })),
    ]);
    expect(server.day).toMatchObject({ lapsEach: 3, laps: 9, paceShare: 0.8 });
    expect(lead.problem).toBeUndefined();
  });

  it('takes edits back, but not the lap that was driven', async () => {
    const lead = await desk();
    await lead.change((d) => ({ ...d, lapsEach: 3 }));
    await lead.toLap(2);
    expect(lead.past).toHaveLength(1);
    lead.undo();
    await vi.waitFor(() => expect(lead.past).toHaveLength(0));
    expect(server.day).toMatchObject({ lapsEach: 2, lap: 2 });
  });

  it('says so where somebody else changed the day, and keeps theirs', async () => {
    const lead = await desk();
    server.conflict = true;
    await lead.change((d) => ({ ...d, lapsEach: 3 }));
    expect(lead.problem?.detail).toBe('changed meanwhile');
    expect(lead.past).toEqual([]);
    expect(server.day.lapsEach).toBe(2);
  });

  it('lays a remark seen elsewhere beside what is seen here, and keeps what is chosen', async () => {
    const remark = { id: 'r', edition: 1, driver: 'ada', corner: 4, lap: 1, words: 'Early' };
    server.remarks = [{ ...remark, good: false, own: false, state: 'not-taken', closedOnLap: 2 }];
    const lead = await desk();
    const seen = { ...server.remarks[0], edition: 0, state: 'open' as const };
    await lead.see(seen, 'taken');
    expect(lead.stale).toMatchObject({
      theirs: { remark: 'Early', state: 'not taken on lap 2' },
      mine: { remark: 'Early', state: 'taken on lap 1' },
    });
    await lead.keepMine();
    expect(lead.stale).toBeUndefined();
    expect(lead.lead!.remarks[0].state).toBe('taken');
  });

  it('says a word to the chosen driver at the chosen corner, and sees whether it was taken', async () => {
    const lead = await desk();
    lead.corner = 4;
    await lead.say({ text: 'Early', good: false });
    expect(lead.open.map((r) => [r.driver, r.corner, r.words])).toEqual([['ada', 4, 'Early']]);
    await lead.see(lead.open[0], 'taken');
    expect(lead.open).toEqual([]);
    await lead.say({ text: 'Unsure', good: false }, true);
    expect(lead.open.map((r) => r.own)).toEqual([true]);
    await lead.takeBack(lead.open[0]);
    await lead.takeBack(lead.lead!.remarks[0]);
    expect(lead.lead!.remarks).toEqual([]);
  });
});
