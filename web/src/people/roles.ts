import type { Role } from '../api/people-calls';

/** What somebody is, and what he may, in words. */
export const ROLES: Record<Role, { name: string; may: string }> = {
  DRIVER: { name: 'driver', may: 'everything' },
  COACH: {
    name: 'coach',
    may: 'reads books and laps, remarks on laps, takes files out; changes nothing',
  },
  INSTRUCTOR: {
    name: 'instructor',
    may: 'reads one book and its laps, leads its days of a group; changes no book',
  },
  GUEST: { name: 'guest', may: 'reads one book, no laps' },
};

/** A time on this device, to the minute. */
export const whenWords = (iso: string): string =>
  new Date(iso).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

/** What a device calls itself until somebody says otherwise, told by its browser. */
export function deviceName(agent: string): string {
  const kinds: [RegExp, string][] = [
    [/iPhone/, 'iPhone'],
    [/iPad/, 'iPad'],
    [/Android.*Mobile/, 'Android telephone'],
    [/Android/, 'Android tablet'],
    [/Windows/, 'Windows computer'],
    [/Macintosh/, 'Mac'],
    [/Linux/, 'Linux computer'],
  ];
  return kinds.find(([sign]) => sign.test(agent))?.[1] ?? 'device';
}

/** A code as it is typed, in the form that it was shown in; the dash comes by itself. */
export function codeTyped(text: string): string {
  const plain = text
    .toUpperCase()
    .replace(/[^0-9A-Z]/g, '')
    .slice(0, 8);
  return plain.length > 4 ? `${plain.slice(0, 4)}-${plain.slice(4)}` : plain;
}

/** A shelf that somebody may choose, in words. */
export function shelfWords(shelf: { name: string; role: Role; bookId?: string | null }): string {
  if (shelf.role === 'DRIVER') return 'Your own';
  const what = shelf.bookId ? 'One book of' : 'All of';
  return `${what} ${shelf.name}, as ${ROLES[shelf.role].name}`;
}
