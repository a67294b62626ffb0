import { api, Failed } from '../api/client';
import type { Brief } from '../api/sessions';
import type { CornerPage, Problem, Revision, Trace } from '../api/types';
import { preferences } from '../units/preferences.svelte';
import { briefLines, type BriefLine } from './brief-lines';
import { pageNews } from './prepared';

/** A session's brief with its revision and the one before, so that what is new can be told. */
export class BriefDesk {
  brief = $state.raw<Brief>();
  revision = $state.raw<Revision>();
  before = $state.raw<Revision>();
  problem = $state.raw<Problem>();

  readonly writer = {
    speed: (v: number) => preferences.speedText(v),
    length: (m: number) => preferences.lengthText(m),
    across: (m: number) => preferences.acrossText(m),
  };
  readonly lines: BriefLine[] = $derived(
    this.brief && this.revision
      ? briefLines(this.brief, this.revision.pages, (page) => this.#news(page))
      : [],
  );

  constructor(
    private readonly book: string,
    private readonly trace: () => Trace,
  ) {}

  /** @param length unit of the lengths in what is said */
  async load(session: string, length: string) {
    try {
      const answer = await api.brief(session, length);
      [this.revision, this.before] = await Promise.all([
        api.revision(this.book, answer.revision),
        answer.parent ? api.revision(this.book, answer.parent) : undefined,
      ]);
      this.brief = answer;
    } catch (e) {
      if (!(e instanceof Failed)) throw e;
      this.problem = e.problem;
    }
  }

  #news(page: CornerPage): string[] {
    const was = this.before?.pages.find((p) => p.corner === page.corner);
    return was ? pageNews(was, page, this.trace(), this.writer) : [];
  }
}
