import { CancelledError, hashKey, QueryClient, type QueryKey } from '@tanstack/svelte-query';
import { Failed } from './http';
import type { Problem } from './types';

/** What the server answered, by what it was asked; a question asked again is answered from here. */
export const queries = new QueryClient({
  defaultOptions: {
    queries: {
      // A draft's answer holds: the key has all that it depends on. Nothing is asked behind the driver's back.
      staleTime: Infinity,
      gcTime: 5_000,
      retry: false,
      networkMode: 'always',
    },
  },
});

interface Told<T> {
  answered?: (answer: T) => void;
  refused?: (problem: Problem) => void;
}

type Fetch<T> = (signal: AbortSignal) => Promise<T>;

/**
 * Something that is asked of the server again and again, as a draft or a page changes: the last answer, whether
 * another one is under way, and what was refused. Never two at a time: what is asked meanwhile waits, and of what
 * waits only the newest is asked.
 */
export class Asking<T> {
  answer = $state.raw<T>();
  running = $state(false);
  problem = $state.raw<Problem>();
  private readonly told: Told<T>;
  private present?: QueryKey;
  private waiting?: { key: QueryKey; fetch: Fetch<T> };

  /**
   * @param told hears of each answer, and of a refusal after which nothing waits
   */
  constructor(told: Told<T> = {}) {
    this.told = told;
  }

  /**
   * Asks, or waits to ask while another answer is under way.
   *
   * @param key kind of the question, then all that its answer depends on
   * @param fetch asks the server; the signal goes with the request
   * @returns settles when nothing is under way any more
   */
  async ask(key: QueryKey, fetch: Fetch<T>): Promise<void> {
    if (this.present) {
      this.waiting = hashKey(this.present) === hashKey(key) ? undefined : { key, fetch };
      return this.settled;
    }
    this.settled = this.run(key, fetch);
    return this.settled;
  }

  private settled: Promise<void> = Promise.resolve();

  private async run(first: QueryKey, firstFetch: Fetch<T>) {
    let next: { key: QueryKey; fetch: Fetch<T> } | undefined = { key: first, fetch: firstFetch };
    this.running = true;
    while (next) {
      const { key, fetch }: { key: QueryKey; fetch: Fetch<T> } = next;
      this.present = key;
      try {
        const answer = await queries.fetchQuery<T>({
          queryKey: key,
          queryFn: ({ signal }) => fetch(signal),
        });
        if (this.present !== key) return;
        this.answer = answer;
        this.problem = undefined;
        this.told.answered?.(answer);
      } catch (e) {
        if (this.present !== key || e instanceof CancelledError) return;
        // What waits is asked all the same: the next value may be one that can be used.
        if (!this.waiting) this.refuse(e);
      }
      next = this.waiting;
      this.waiting = undefined;
    }
    this.present = undefined;
    this.running = false;
  }

  private refuse(e: unknown) {
    if (!(e instanceof Failed)) {
      this.present = undefined;
      this.running = false;
      throw e;
    }
    this.problem = e.problem;
    this.told.refused?.(e.problem);
  }

  /** Nothing of what was asked is of use any more: the request is ended, its answer does not count. */
  forget() {
    const { present } = this;
    this.present = this.waiting = this.problem = this.answer = undefined;
    this.running = false;
    if (present) void queries.cancelQueries({ queryKey: present, exact: true }, { silent: true });
  }
}
