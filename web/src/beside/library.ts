import type { LibraryLap } from '../api/laps';

/** What is looked for among the laps. */
export interface Wanted {
  words: string;
  /** Out-laps, in-laps and broken ones too. */
  all: boolean;
}

/** What a lap can be found by. */
const textOf = (lap: LibraryLap) =>
  [
    lap.driver || 'you',
    lap.vehicle,
    lap.surface,
    lap.startsAt.slice(0, 10),
    lap.sessionName,
    lap.sheet ?? '',
    lap.file,
    lap.bookName,
    lap.layout,
  ]
    .join(' ')
    .toLowerCase();

/** The laps that hold all the words; those alone that count, unless all are wanted. */
export function found(laps: readonly LibraryLap[], { words, all }: Wanted): LibraryLap[] {
  const parts = words.toLowerCase().split(/\s+/).filter(Boolean);
  return laps.filter(
    (lap) =>
      (all || (lap.kind === 'flying' && lap.time_s != null)) &&
      parts.every((word) => textOf(lap).includes(word)),
  );
}

/** The laps of one file, as they stand below each other. */
export interface LibraryFile {
  key: string;
  laps: LibraryLap[];
}

/** By their files, in the order they come. */
export function byFile(laps: readonly LibraryLap[]): LibraryFile[] {
  const files: LibraryFile[] = [];
  for (const lap of laps) {
    const key = lap.id.slice(0, lap.id.lastIndexOf('.'));
    const file = files.find((f) => f.key === key);
    if (file) file.laps.push(lap);
    else files.push({ key, laps: [lap] });
  }
  return files;
}

/** Whose laps a file has. */
export const whose = (lap: LibraryLap) => lap.driver || 'you';

/**
 * What is laid together at first: one's own best, and beside it the best of somebody else in the same
 * vehicle, or else the page.
 */
export function firstPair(laps: readonly LibraryLap[], book: string) {
  const bests = laps.filter((lap) => lap.best);
  const own = bests.find((lap) => !lap.driver && lap.book === book) ?? bests[0];
  const other = bests.find(
    (lap) => own && lap.driver !== own.driver && lap.vehicle === own.vehicle,
  );
  return { lap: own?.id, with: other?.id ?? 'page' };
}
