import { answer, http } from './http';
import type { components } from './schema';

type Schema = components['schemas'];

/** Who asks, and what he is to the things that he sees. */
export type Me = Schema['MeMe'];
export type Role = NonNullable<Me['role']>;
/** Somebody with his devices. */
export type SeenPerson = Schema['PeopleSeen'];
/** A code that pairs one device. */
export type PairingCode = Schema['PeopleCode'];

/** Who may see the driver's things, and on which devices. */
export const peopleCalls = {
  me: () => answer(http.GET('/api/me')),
  pair: (code: string, device: string) =>
    answer(http.POST('/api/pair', { body: { code, device } })),
  signIn: (name: string, password: string, device: string) =>
    answer(http.POST('/api/sign-in', { body: { name, password, device } })),
  ownAccount: (signIn: string, password: string, before?: string) =>
    answer(http.PUT('/api/me/account', { body: { signIn, password, before } })),
  chooseShelf: (owner: string) => answer(http.PUT('/api/me/shelf', { body: { owner } })),
  takeShare: (code: string) => answer(http.POST('/api/me/shares', { body: { code } })),
  keys: () => answer(http.GET('/api/me/tokens')),
  makeKey: (name: string, scope: 'READ' | 'EDIT', days: number) =>
    answer(http.POST('/api/me/tokens', { body: { name, scope, days } })),
  endKey: (id: string) => answer(http.DELETE('/api/tokens/{id}', { params: { path: { id } } })),
  signOut: () => answer(http.POST('/api/sign-out')),
  people: () => answer(http.GET('/api/people')),
  addPerson: (name: string, role: Role, bookId?: string) =>
    answer(http.POST('/api/people', { body: { name, role, bookId } })),
  endPerson: (person: string) =>
    answer(http.DELETE('/api/people/{person}', { params: { path: { person } } })),
  makeCode: (person: string) =>
    answer(http.POST('/api/people/{person}/code', { params: { path: { person } } })),
  endDevice: (id: string) => answer(http.DELETE('/api/devices/{id}', { params: { path: { id } } })),
};
