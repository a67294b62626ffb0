import { Failed } from './api/http';
import type { Problem } from './api/types';

/** A client's refusal, for tests that stand in for the server. */
export class Refused extends Failed {
  constructor(status: number, more: Partial<Problem> = {}) {
    super({ status, title: 'refused', detail: 'not like this', ...more });
  }
}
