import type { CornerGears, Day, LinkSweep, OnDay, SchoolLine } from '../api/answers';
import { api, Failed } from '../api/client';
import type { Purposes } from '../api/sessions';
import type { CornerPage, Problem, Trace } from '../api/types';
import type { BookState } from '../book/book-state.svelte';
import { DASHES, type OtherLine } from '../strip/other-lines';
import type { Plate } from '../strip/plates';
import { dayPlates } from './day-plates';
import { DAYS } from './day-words';
import { SCHOOLS } from './words';

export type Panel = 'words' | 'ways' | 'gears' | 'link' | 'days' | 'purposes';

/** What is asked of a corner beside its words, and which other lines the strip shows. */
export class Panels {
  open = $state<Panel>('words');
  ways = $state.raw<SchoolLine[]>();
  gears = $state.raw<CornerGears>();
  link = $state.raw<LinkSweep>();
  days = $state.raw<OnDay[]>();
  purposes = $state.raw<Purposes>();
  /** The day whose line the strip shows beside the book's. */
  day = $state<Day>('wet');
  /** Position of the sweep that is looked at. */
  way = $state(0);
  /** Schools that the strip shows. */
  shown = $state.raw<string[]>([]);
  asking = $state(false);
  problem = $state<Problem>();
  private asked = 0;
  private readonly book: BookState;

  constructor(book: BookState) {
    this.book = book;
  }

  /** Other lines that the strip shows. */
  get lines(): OtherLine[] {
    if (this.open === 'ways') return this.schoolLines();
    if (this.open === 'link' && this.link) return [linkLine(this.link, this.way)];
    if (this.open === 'days') return dayLines(this.days, this.day);
    return [];
  }

  /** Plates of the day that is ticked, for the strip. */
  others(page: CornerPage, trace: Trace): { plates: Plate[]; whose: string } | undefined {
    if (this.open !== 'days') return undefined;
    const shift = this.days
      ?.find((on) => on.day === this.day)
      ?.shifts.find((s) => s.corner === page.corner);
    if (!shift) return undefined;
    return { plates: dayPlates(page, shift, trace), whose: DAYS[this.day].name.toLowerCase() };
  }

  private schoolLines(): OtherLine[] {
    return (this.ways ?? [])
      .map((way, i): OtherLine => ({
        letters: SCHOOLS[way.school].letters,
        name: SCHOOLS[way.school].name,
        from_m: way.from_m,
        step_m: way.step_m,
        offset_m: way.offset_m,
        dash: DASHES[i % DASHES.length],
        strong: i === 0,
      }))
      .filter((_, i) => this.shown.includes(this.ways![i].school));
  }

  toggle(school: string) {
    this.shown = this.shown.includes(school)
      ? this.shown.filter((s) => s !== school)
      : [...this.shown, school];
  }

  /** Asks for what the open panel shows of a corner; of answers that overtake only the last counts. */
  async ask(corner: number) {
    this.problem = undefined;
    if (this.open === 'words') return;
    const turn = ++this.asked;
    const { id } = this.book;
    const draft = this.book.draft();
    this.asking = true;
    try {
      if (this.open === 'ways') {
        const ways = await api.schools(id, corner, draft);
        if (turn === this.asked) this.takeWays(ways);
      } else if (this.open === 'gears') {
        const gears = await api.gears(id, corner, draft);
        if (turn === this.asked) this.gears = gears;
      } else if (this.open === 'days') {
        const days = await api.days(id, draft);
        if (turn === this.asked) this.days = days;
      } else if (this.open === 'purposes') {
        const purposes = await api.purposes(id, draft);
        if (turn === this.asked) this.purposes = purposes;
      } else {
        const link = await api.link(id, corner, draft);
        if (turn === this.asked) this.takeLink(link);
      }
    } catch (e) {
      if (!(e instanceof Failed)) throw e;
      if (turn === this.asked) this.problem = e.problem;
    } finally {
      if (turn === this.asked) this.asking = false;
    }
  }

  private takeWays(ways: SchoolLine[]) {
    this.ways = ways;
    const known = this.shown.filter((s) => ways.some((w) => w.school === s));
    this.shown = known.length ? known : ways.slice(0, 3).map((w) => w.school);
  }

  private takeLink(link: LinkSweep) {
    this.link = link;
    this.way = quickest(link);
  }

  /** Nothing of another corner is left on the screen. */
  forget() {
    this.asked++;
    this.ways = this.gears = this.link = this.days = this.purposes = undefined;
    this.asking = false;
  }
}

/** Index of the quickest way through a link. */
export function quickest(link: LinkSweep): number {
  return link.ways.reduce((best, way, i) => (way.lost_s < link.ways[best].lost_s ? i : best), 0);
}

function linkLine(link: LinkSweep, way: number): OtherLine {
  return {
    letters: 'L',
    name: 'through the link',
    from_m: link.from_m,
    step_m: link.step_m,
    offset_m: link.ways[way].line_m,
    dash: '9 4',
    strong: true,
  };
}

function dayLines(days: OnDay[] | undefined, day: Day): OtherLine[] {
  const on = days?.find((d) => d.day === day);
  if (!on) return [];
  return [
    {
      letters: DAYS[day].letters,
      name: DAYS[day].name,
      from_m: 0,
      step_m: on.step_m,
      offset_m: on.offset_m,
      dash: '9 4',
    },
  ];
}
