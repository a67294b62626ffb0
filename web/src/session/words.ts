import type { Brief, Change, Kind, KeptSession, Purpose, Session, Tier } from '../api/sessions';
import type { Conditions, KerbUse } from '../api/types';
import { KERB_USE } from '../page/words';

export const KINDS: Record<Kind, string> = {
  walk: 'track walk',
  test: 'test',
  practice: 'practice',
  qualifying: 'qualifying',
  race: 'race',
  'track-day': 'track day',
  simulator: 'simulator',
};

export const PURPOSES: Record<Purpose, { name: string; means: string }> = {
  practice: { name: 'Practice', means: 'as the conditions are' },
  qualifying: {
    name: 'Qualifying',
    means: 'all of the road, no margin, 2\u00a0% more of the grip',
  },
  race: { name: 'Race', means: 'a margin at the line, a little less of the grip' },
  'save-tyres': { name: 'Saving tyres', means: '4\u00a0% less of the grip' },
  'first-lap': { name: 'First lap', means: 'cold tyres, a wide margin, less of the grip' },
  defend: { name: 'Defending', means: 'the inside where it pays; the lap as it is' },
  attack: { name: 'Attacking', means: 'all of the grip, from the inside' },
  follow: { name: 'Following', means: 'three quarters of the downforce, an eighth less drag' },
};

export const TIERS: Record<Tier, string> = {
  expert: 'expert',
  'good-club': 'good club driver',
  beginner: 'beginner',
  book: 'this book',
  'own-best': 'your best so far',
  'own-next': 'your next step',
};

export const WHY: Record<Change['why'], string> = {
  conditions: 'conditions',
  'own-moved': 'yours, moved with the model',
  step: 'your present step',
  held: 'held: with less grip no later, though slower there',
};

/** "Thu 26 Nov, 10:20", as the circuit's clocks show it. */
export function hourWords(startsAt: string): string {
  const [day, hour] = startsAt.split('T');
  const date = new Date(`${day}T12:00:00Z`);
  if (Number.isNaN(date.getTime())) return startsAt;
  const words = date.toLocaleDateString('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    timeZone: 'UTC',
  });
  return `${words}, ${hour?.slice(0, 5) ?? ''}`;
}

/** "Qualifying, wet road". */
export function sessionName({ session }: KeptSession): string {
  const kind = KINDS[session.kind];
  return `${kind[0].toUpperCase()}${kind.slice(1)}`;
}

/** The first session that is neither driven nor over; undefined where all are. */
export function nextOf(sessions: KeptSession[], now: Date): KeptSession | undefined {
  return sessions.find(
    (kept) =>
      kept.session.result === undefined &&
      !kept.driven &&
      new Date(kept.begins).getTime() + 60_000 * kept.session.length_min > now.getTime(),
  );
}

/** How far away a moment is, in whole days or hours. */
export function inWords(begins: string, now: Date): string {
  const hours = (new Date(begins).getTime() - now.getTime()) / 3_600_000;
  if (hours < 0) return hours > -3 ? 'now' : 'over';
  if (hours < 1) return `in ${Math.max(1, Math.round(60 * hours))} min`;
  if (hours < 36) return `in ${Math.round(hours)} h`;
  return `in ${Math.round(hours / 24)} days`;
}

export const SLIPS: Record<string, string> = {
  'brake-early': 'braking early',
  'slow-apex': 'a slow apex',
  'late-throttle': 'a late throttle',
  'off-the-apex': 'missing the apex',
  'slow-exit': 'a slow exit',
};

/** A lap of the warm-up in words: tyres by the model, brakes by common practice. */
export function tyreWarmWords(
  lap: Brief['warmUp'][number],
  lengthText: (m: number) => string,
): string {
  const gears = lap.lowerGearIn.length ? `, a gear lower in ${lap.lowerGearIn.join(', ')}` : '';
  const tyres =
    lap.brakeEarlier_m >= 1
      ? `brake ${lengthText(lap.brakeEarlier_m)} early${gears}`
      : `tyres warm${gears}`;
  const brakes =
    lap.lap === 1
      ? '; warm the brakes with firm presses on a straight, nobody behind'
      : lap.lap === 2
        ? '; full pressure once in a straight line'
        : '';
  return `${tyres}${brakes}.`;
}

/** The warm-up lap by lap, up to the first one on which there is nothing more to say. */
export function warmUpLines(
  laps: Brief['warmUp'],
  lengthText: (m: number) => string,
): { lap: number; words: string }[] {
  const lines = laps.map((lap) => ({ lap: lap.lap, words: tyreWarmWords(lap, lengthText) }));
  return lines.filter((line, i) => i === 0 || line.words !== lines[i - 1].words);
}

export const SURFACES: Record<Conditions['surface'], string> = {
  dry: 'dry',
  damp: 'damp',
  wet: 'wet',
};

/** How far a session has come. */
export function stateWords(session: Session): string {
  if (session.result) return `driven, ${session.result.laps} laps`;
  return session.revision ? `ready, revision ${session.revision}` : 'to be prepared';
}

/** Seconds of "1:43.25", "103.25" or "1:43,25"; undefined for anything else. */
export function parseLapTime(text: string): number | undefined {
  const match = /^(?:(\d{1,3}):)?(\d{1,3}(?:[.,]\d{1,3})?)$/.exec(text.trim());
  if (!match) return undefined;
  const seconds = Number(match[2].replace(',', '.'));
  return match[1] !== undefined && seconds >= 60 ? undefined : 60 * Number(match[1] ?? 0) + seconds;
}

const USES = Object.keys(KERB_USE) as KerbUse[];

/** The use of a kerb by its place in the list of uses. */
export const kerbUse = (index: number): KerbUse => USES[Math.round(index)];
