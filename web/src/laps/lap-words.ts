import type { LapFile, PreviewedLaps, Surface, Whose } from '../api/laps';
import { lapTime } from '../units/format';

type Kind = PreviewedLaps['laps'][number]['kind'];

const NAMES: Record<Kind, [one: string, many: string]> = {
  flying: ['flying lap', 'flying laps'],
  out: ['out-lap', 'out-laps'],
  in: ['in-lap', 'in-laps'],
  off: ['off or stopped', 'off or stopped'],
  slow: ['slow', 'slow'],
  'other-surface': ['with other grip', 'with other grip'],
  broken: ['with a broken clock or record', 'with a broken clock or record'],
};

/** "4 flying laps, best 1:52.310; 1 out-lap, 1 slow". */
export function countOfKinds(laps: PreviewedLaps['laps']): string {
  const counts = new Map<Kind, number>();
  for (const lap of laps) counts.set(lap.kind, (counts.get(lap.kind) ?? 0) + 1);
  const words = ([kind, count]: [Kind, number]) => `${count} ${NAMES[kind][count === 1 ? 0 : 1]}`;
  const best = laps.reduce<number | undefined>(
    (least, lap) =>
      lap.kind === 'flying' && lap.time_s != null ? Math.min(least ?? Infinity, lap.time_s) : least,
    undefined,
  );
  const flying = counts.get('flying') ?? 0;
  counts.delete('flying');
  const first = flying
    ? words(['flying', flying]) + (best === undefined ? '' : `, best ${lapTime(best)}`)
    : 'no flying lap';
  return [first, [...counts].map(words).join(', ')].filter(Boolean).join('; ');
}

/** How far positions were moved, in a line each; nothing where they were right. */
export function movedWords({ lag_s, shift_m, noise_m }: LapFile['put_right']): string[] {
  const words: string[] = [];
  if (lag_s) words.push(`Lag of the positions ${Math.round(1000 * lag_s)} ms`);
  if (shift_m) words.push(`Shift of the positions ${shift_m.toFixed(1)} m`);
  if (noise_m > 1) words.push(`Noise of the positions ${noise_m.toFixed(1)} m`);
  return words;
}

/** Whose laps, in words: "you", "R. Quill", "R. Quill, spare car". */
export const whoseWords = ({ driver, vehicle }: Whose): string =>
  [driver || 'you', vehicle].filter(Boolean).join(', ');

/** What laps that go better or worse with another surface look like. */
export const surfaceWords = (page: Surface, seems: Surface): string =>
  `The laps go with a ${seems} road, and the page is for a ${page} one.`;
