import type { CornerPage, Schemas, Trace } from '../api/types';
import { between } from '../strip/lap-axis';

export type LimitNotice = Schemas['BookLimitNotice'];

const WHEELS: Record<LimitNotice['wheels'], string> = {
  1: 'one wheel stays inside',
  2: 'two wheels stay inside',
  4: 'no wheel over',
};

/** Kinds of sessions that notices tell apart. */
const SESSIONS: readonly NonNullable<LimitNotice['sessions']>[number][] = [
  'test',
  'practice',
  'qualifying',
  'race',
  'track-day',
];

function lineWords({ line }: LimitNotice, across: (m: number) => string): string {
  if (line === 'white-line') return 'the white line';
  if (line === 'kerb-outer-edge') return "the kerb's outer edge";
  const { beyond_m } = line;
  return `a line ${across(Math.abs(beyond_m))} ${beyond_m < 0 ? 'inside' : 'beyond'} the white line`;
}

/** What follows, and in which sessions. */
export function consequenceWords({ consequence, sessions }: LimitNotice): string {
  const what =
    typeof consequence === 'string'
      ? consequence === 'warning'
        ? 'a warning'
        : 'the lap is deleted'
      : `${consequence.time_s} s are added`;
  return sessions?.length ? `${what} (${sessions.join(', ').replace('-', ' ')})` : what;
}

/**
 * A notice of track limits as it is said on a page.
 *
 * @param length writes metres along the road
 * @param across writes metres across it
 */
export function noticeWords(
  notice: LimitNotice,
  page: CornerPage,
  lap: Pick<Trace, 'length_m' | 'closed'>,
  length: (m: number) => string,
  across: (m: number) => string,
): string {
  const where = (station: number) => {
    const metres = between(lap, page.apexes[0].at_m, station);
    return `${length(Math.abs(metres))} ${metres < 0 ? 'before' : 'past'} the apex`;
  };
  const back =
    notice.backBefore_m === undefined
      ? ''
      : ` (run-off may be used if back before ${where(notice.backBefore_m)})`;
  return (
    `${notice.side}, ${where(notice.from_m)} to ${where(notice.to_m)}: ` +
    `${WHEELS[notice.wheels]} ${lineWords(notice, across)}${back}, else ${consequenceWords(notice)}`
  );
}

/** Whether a notice has a consequence in a session of a kind; in one of another kind it has. */
export function countsIn({ sessions = [] }: LimitNotice, kind: string): boolean {
  const known = SESSIONS.find((each) => each === kind);
  return !sessions.length || !known || sessions.includes(known);
}

/** What a brief says of a corner's notices in a session. */
export const noticesIn = (
  page: CornerPage,
  kind: string,
  across: (m: number) => string,
): string[] =>
  (page.limits?.notices ?? [])
    .filter((notice) => countsIn(notice, kind))
    .map(
      (notice) =>
        `limits ${notice.side}: ${WHEELS[notice.wheels]} ${lineWords(notice, across)}, else ` +
        consequenceWords({ ...notice, sessions: undefined }),
    );
