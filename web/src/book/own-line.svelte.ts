import { getContext, setContext } from 'svelte';
import { api } from '../api/client';
import type { TracedLine } from '../api/types';
import { Working } from '../api/working.svelte';
import type { BookState } from './book-state.svelte';

const KEY = Symbol('own line');

/** The driver's own line of a book: from a recorded track or a lap into the draft. */
export class OwnLineState extends Working {
  /** What was made of the last one that came in, to be told beside it. */
  traced = $state.raw<TracedLine>();

  constructor(private readonly book: BookState) {
    super();
  }

  /** Offsets that the draft could be driven on: the last that came in, or the kept revision's. */
  get offsets_m(): number[] | undefined {
    return (
      this.book.history?.now.lineOffsets_m ??
      this.traced?.lineOffsets_m ??
      this.book.base?.revision.lineOffsets_m
    );
  }

  ofFile = (file: File) => this.take(() => api.traceLine(this.book.id, file));

  ofLap = (file: string, lap: number) => this.take(() => api.traceLap(file, lap));

  /** Answers whether the draft is on it now. */
  private async take(trace: () => Promise<TracedLine>): Promise<boolean> {
    let came: TracedLine | undefined;
    const whole = await this.run(async () => (came = await trace()));
    if (!whole || !came) return false;
    this.traced = came;
    await this.book.setLine('own', came.lineOffsets_m);
    return this.book.problem === undefined;
  }
}

export const provideOwnLine = (line: OwnLineState) => setContext(KEY, line);

/** The own line of the open book; only inside its shell. */
export function useOwnLine(): OwnLineState {
  const line = getContext<OwnLineState | undefined>(KEY);
  if (!line) throw new Error('useOwnLine() outside of a BookRoom');
  return line;
}
