import { api } from '../api/client';
import type { Brief } from '../api/sessions';
import type { CornerPage, Revision, Trace } from '../api/types';
import { Working } from '../api/working.svelte';
import { toldDays } from '../page/annotations';
import { noticesIn } from '../page/limit-notices';
import { preferences } from '../units/preferences.svelte';
import { briefLines, type BriefLine } from './brief-lines';
import { pageNews } from './prepared';

/** A session's brief with its revision and the one before, so that what is new can be told. */
export class BriefDesk extends Working {
  brief = $state.raw<Brief>();
  revision = $state.raw<Revision>();
  before = $state.raw<Revision>();

  readonly writer = preferences.writer;
  readonly lines: BriefLine[] = $derived(
    this.brief && this.revision
      ? briefLines(
          this.brief,
          this.revision.pages,
          (page) => this.#news(page),
          (page) => this.#days(page),
          (page) => noticesIn(page, this.brief!.session.session.kind, this.writer.across),
          (page) => this.#wayOut(page),
        )
      : [],
  );

  constructor(
    private readonly book: string,
    private readonly trace: () => Trace,
  ) {
    super();
  }

  /** @param length unit of the lengths in what is said */
  async load(session: string, length: string) {
    await this.run(async () => {
      const answer = await api.brief(session, length);
      [this.revision, this.before] = await Promise.all([
        api.revision(this.book, answer.revision),
        answer.parent ? api.revision(this.book, answer.parent) : undefined,
      ]);
      this.brief = answer;
    });
  }

  /** His own words; what the circuit's file says of the run-off is told anyway. */
  #wayOut({ corner }: CornerPage): string[] {
    const own = this.revision!.ownValues?.find((values) => values.corner === corner)?.wayOut;
    return own ? [`way out: ${own}`] : [];
  }

  #days(page: CornerPage): string[] {
    const { conditions, session } = this.brief!;
    const day = session.session.conditions;
    return toldDays(page, this.trace(), this.writer, day, conditions);
  }

  #news(page: CornerPage): string[] {
    const was = this.before?.pages.find((p) => p.corner === page.corner);
    return was ? pageNews(was, page, this.trace(), this.writer) : [];
  }
}
