import type { Problem } from './api/types';

/** A client's refusal, for tests that stand in for the server. */
export class Refused extends Error {
  readonly problem: Problem;

  constructor(status: number, more: Partial<Problem> = {}) {
    super('refused');
    this.problem = { status, title: 'refused', detail: 'not like this', ...more };
  }
}
