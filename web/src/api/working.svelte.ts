import { Failed } from './http';
import type { Problem } from './types';

/** What is done for somebody who waits: whether it is under way, and what the server refused of it. */
export class Working {
  busy = $state(false);
  problem = $state.raw<Problem>();
  private under = 0;

  /**
   * Does something; what the server refuses is kept to be shown, what was cancelled is no failure, any
   * other is thrown on.
   *
   * @param otherwise deals with a refusal in another way than to show it, and says that it does
   * @returns whether it came to its end
   */
  run = async (
    work: () => Promise<unknown>,
    otherwise?: (refused: Problem) => boolean,
  ): Promise<boolean> => {
    this.under++;
    this.busy = true;
    this.problem = undefined;
    try {
      await work();
      return true;
    } catch (e) {
      if ((e as Error).name === 'AbortError') return false;
      if (!(e instanceof Failed)) throw e;
      if (!otherwise?.(e.problem)) this.problem = e.problem;
      return false;
    } finally {
      this.under--;
      this.busy = this.under > 0;
    }
  };

  /** Takes what is shown away. */
  clear = () => (this.problem = undefined);
}
