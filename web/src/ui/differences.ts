/** One value in which two states differ. */
export interface Difference {
  /** Where it stands, as "tyres, laps". */
  where: string;
  theirs: string;
  mine: string;
}

const NOTHING = 'nothing';

/**
 * Single values in which two JSON states differ, in the order of mine; entries of lists are told by
 * their number. `names` gives words for a member.
 */
export function differences(
  theirs: unknown,
  mine: unknown,
  names: (member: string) => string = words,
  where: string[] = [],
): Difference[] {
  if (isTree(theirs) && isTree(mine) && Array.isArray(theirs) === Array.isArray(mine)) {
    const keys = new Set([...Object.keys(mine), ...Object.keys(theirs)]);
    return [...keys].flatMap((key) => {
      const name = Array.isArray(mine) ? String(Number(key) + 1) : names(key);
      return differences(theirs[key], mine[key], names, [...where, name]);
    });
  }
  if (JSON.stringify(theirs ?? null) === JSON.stringify(mine ?? null)) return [];
  return [{ where: where.join(', '), theirs: told(theirs), mine: told(mine) }];
}

type Tree = Record<string, unknown>;
const isTree = (value: unknown): value is Tree => typeof value === 'object' && value !== null;

function told(value: unknown): string {
  if (value === undefined || value === null || value === '') return NOTHING;
  if (value === true) return 'yes';
  if (value === false) return 'no';
  if (Array.isArray(value)) return value.length === 1 ? '1 entry' : `${value.length} entries`;
  if (isTree(value))
    return Object.values(value)
      .filter((v) => !isTree(v))
      .map(told)
      .join(', ');
  return String(value);
}

/** "bestLap_s" as "best lap (s)", "fromM" as "from (m)". */
export function words(member: string): string {
  const unit = /_(\w+)$|(?<=[a-z])(Mm|M)$/.exec(member);
  const plain = unit ? member.slice(0, unit.index) : member;
  const name = plain.replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`);
  return unit ? `${name} (${(unit[1] ?? unit[2]).toLowerCase()})` : name;
}
