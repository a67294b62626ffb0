import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { KeptSession, Session } from '../api/sessions';
import { Refused } from '../test-server';
import { fakeStorage } from '../test-storage';

const server = vi.hoisted(() => ({
  kept: undefined as unknown as KeptSession,
  refuse: undefined as Error | undefined,
  changes: [] as string[],
}));

const session = { event: 'June', length_min: 20, conditions: { surface: 'dry' } } as Session;
const kept = (edition: number, now = session) =>
  ({ id: 's', edition, session: now }) as KeptSession;

vi.mock('../api/client', async () => {
  const { Refused } = await import('../test-server');
  return {
    Failed: Refused,
    api: {
      session: async () => server.kept,
      changeSession: async (_: string, now: Session, edition: number) => {
        if (server.refuse) throw server.refuse;
        if (edition !== server.kept.edition) throw new Refused(412, { theirs: server.kept });
        server.changes.push(now.event);
        server.kept = { ...server.kept, edition: edition + 1, session: now };
        return server.kept;
      },
    },
  };
});

const { SessionState } = await import('./session-state.svelte');

async function opened() {
  const state = new SessionState('s');
  await state.open();
  return state;
}
const settled = (state: InstanceType<typeof SessionState>) =>
  vi.waitFor(() => expect(state.keeping).toBe(false));

describe('a session that is planned', () => {
  beforeEach(() => {
    vi.stubGlobal('localStorage', fakeStorage());
    server.kept = kept(1);
    server.refuse = undefined;
    server.changes = [];
  });

  it('keeps the last of what is typed quickly, made from what was kept before', async () => {
    const state = await opened();
    state.set({ event: 'Ju' });
    state.set({ event: 'July' });
    state.setConditions({ surface: 'wet' });
    await settled(state);
    expect(server.kept.session).toMatchObject({ event: 'July', conditions: { surface: 'wet' } });
    expect(server.changes).toEqual(['July']);
    expect(Object.keys(localStorage).length).toBe(0);
  });

  it('says at the field what cannot be, and keeps what was typed', async () => {
    const state = await opened();
    server.refuse = new Refused(422, { field: 'openPoints.0.corner' });
    state.set({ event: '' });
    await settled(state);
    expect(state.refusedOf('openPoints')).toBeDefined();
    expect(state.refusedOf('parts')).toBeUndefined();
    expect(state.placed).toBe(true);
    expect(state.now!.event).toBe('');
    expect(Object.keys(localStorage).length).toBe(1);
    server.refuse = new Refused(422, { field: 'nowhere' });
    state.set({ event: ' ' });
    await settled(state);
    expect(state.placed).toBe(false);
    await state.forget();
    expect(state.now!.event).toBe('June');
    expect(Object.keys(localStorage).length).toBe(0);
  });

  it('shows what somebody else kept; either of the two goes on', async () => {
    const state = await opened();
    server.kept = kept(5, { ...session, event: 'theirs' });
    state.set({ event: 'mine' });
    await settled(state);
    expect(state.theirs?.session.event).toBe('theirs');
    expect(server.kept.session.event).toBe('theirs');
    state.keepMine();
    await settled(state);
    expect(server.kept.session.event).toBe('mine');

    server.kept = kept(9, { ...session, event: 'theirs again' });
    state.set({ event: 'mine again' });
    await settled(state);
    state.takeTheirs();
    expect(state.now!.event).toBe('theirs again');
    expect(Object.keys(localStorage).length).toBe(0);
  });

  it('has after a reload what could not be kept before it', async () => {
    const state = await opened();
    server.refuse = new Refused(503);
    state.set({ event: 'typed on the train' });
    await settled(state);
    expect(state.problem?.status).toBe(503);
    server.refuse = undefined;
    const again = await opened();
    await settled(again);
    expect(server.kept.session.event).toBe('typed on the train');
    expect(again.theirs).toBeUndefined();
  });
});
