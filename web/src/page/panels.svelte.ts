import type { CornerGears, Day, LinkSweep, OnDay, SchoolLine } from '../api/answers';
import { Asking } from '../api/asking.svelte';
import { api } from '../api/client';
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
  /** The day whose line the strip shows beside the book's. */
  day = $state<Day>('wet');
  /** Position of the sweep that is looked at. */
  way = $state(0);
  /** Schools that the strip shows. */
  shown = $state.raw<string[]>([]);
  private readonly asked = {
    ways: new Asking<SchoolLine[]>({ answered: (ways) => this.showQuickest(ways) }),
    gears: new Asking<CornerGears>(),
    link: new Asking<LinkSweep>({ answered: (link) => (this.way = quickest(link)) }),
    days: new Asking<OnDay[]>(),
    purposes: new Asking<Purposes>(),
  };
  private readonly book: BookState;

  constructor(book: BookState) {
    this.book = book;
  }

  get ways() {
    return this.asked.ways.answer;
  }

  get gears() {
    return this.asked.gears.answer;
  }

  get link() {
    return this.asked.link.answer;
  }

  get days() {
    return this.asked.days.answer;
  }

  get purposes() {
    return this.asked.purposes.answer;
  }

  private get present() {
    return this.open === 'words' ? undefined : this.asked[this.open];
  }

  get asking(): boolean {
    return this.present?.running ?? false;
  }

  get problem(): Problem | undefined {
    return this.present?.problem;
  }

  /** The problem was read. */
  close() {
    if (this.present) this.present.problem = undefined;
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

  /** Asks for what the open panel shows of a corner. */
  ask(corner: number): Promise<void> {
    const { id } = this.book;
    const draft = this.book.draft();
    const { ways, gears, link, days, purposes } = this.asked;
    switch (this.open) {
      case 'words':
        return Promise.resolve();
      case 'ways':
        return ways.ask(['ways', id, corner, draft], (s) => api.schools(id, corner, draft, s));
      case 'gears':
        return gears.ask(['gears', id, corner, draft], (s) => api.gears(id, corner, draft, s));
      case 'link':
        return link.ask(['link', id, corner, draft], (s) => api.link(id, corner, draft, s));
      case 'days':
        return days.ask(['days', id, draft], (s) => api.days(id, draft, s));
      case 'purposes':
        return purposes.ask(['purposes', id, draft], (s) => api.purposes(id, draft, s));
    }
  }

  private showQuickest(ways: SchoolLine[]) {
    const known = this.shown.filter((s) => ways.some((w) => w.school === s));
    this.shown = known.length ? known : ways.slice(0, 3).map((w) => w.school);
  }

  /** Nothing of another corner is left on the screen. */
  forget() {
    for (const asking of Object.values(this.asked)) asking.forget();
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
