import { answer, http, madeFrom } from './http';
import type { components } from './schema';

/** What can be put away; as it stands in addresses. */
export type AwayKind = 'book' | 'circuit' | 'car' | 'session' | 'file';

/** Something that is put away, with what goes with it when it is removed. */
export type Away = components['schemas']['PutAwayAwayView'];

const of = (kind: string, id: string) => ({ path: { kind, id } });

/** Stored things as wholes: what they are called, copies, and putting them away for thirty days. */
export const putAwayCalls = {
  /** What the server still does before it is ready, in its words; nothing once it is. */
  notReady: async (): Promise<string | undefined> => {
    const there = await fetch('/ready').catch(() => undefined);
    return there?.status === 503 ? there.text() : undefined;
  },
  away: () => answer(http.GET('/api/put-away')),
  putAway: (kind: AwayKind, id: string) =>
    answer(http.PUT('/api/put-away/{kind}/{id}', { params: of(kind, id) })),
  demo: () => answer(http.GET('/api/put-away/demo')),
  putDemoAway: () => answer(http.PUT('/api/put-away/demo')),
  takeBack: (kind: string, id: string) =>
    answer(http.POST('/api/put-away/{kind}/{id}/take-back', { params: of(kind, id) })),
  removeForGood: (kind: string, id: string) =>
    answer(http.DELETE('/api/put-away/{kind}/{id}', { params: of(kind, id) })),
  rename: (kind: 'book' | 'car' | 'circuit', id: string, name: string, edition: number) => {
    const params = { path: { id }, header: madeFrom(edition) };
    return kind === 'book'
      ? answer(http.PUT('/api/books/{id}/name', { params, body: { name } }))
      : answer(http.PUT('/api/cars/{id}/name', { params, body: { name } }));
  },
  copy: async (kind: 'book' | 'car' | 'circuit', id: string, name: string): Promise<unknown> => {
    const request = { params: { path: { id } }, body: { name } };
    if (kind === 'book') return answer(http.POST('/api/books/{id}/copy', request));
    if (kind === 'car') return answer(http.POST('/api/cars/{id}/copy', request));
    return answer(http.POST('/api/circuits/{id}/copy', request));
  },
};
