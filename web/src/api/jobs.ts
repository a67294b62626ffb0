import { api, Failed } from './client';
import type { JobView } from './types';

/** A job that is waited for. */
export interface Waiting {
  id: string;
  /** Share done, 0 to 1. */
  progress: number;
}

const PAUSE_MS = 200;

/** A server that is started anew, or another, goes on with the job: it is asked for this long. */
const PATIENCE_MS = 60_000;

/** Jobs that are not waited for any more. */
const left = new Set<string>();

/** Leaves a job: it ends, unless somebody else waits for the same. */
export async function leaveJob(id: string): Promise<void> {
  await api.cancel(id);
  left.add(id);
}

/**
 * Waits for a job of the server.
 *
 * @param told called each time it is heard how far it is
 * @returns the id of its result; nothing if it was cancelled or left
 * @throws Failed if it failed
 */
export async function waitForJob(
  id: string,
  told: (waiting: Waiting) => void,
): Promise<string | undefined> {
  for (;;) {
    const job = await asked(id);
    if (left.delete(id)) return undefined;
    told({ id, progress: job.progress });
    if (job.status === 'done') return job.result!.id;
    if (job.status === 'cancelled') return undefined;
    if (job.status === 'failed') {
      const { problem, field, said } = job;
      throw new Failed({
        title: 'It could not be computed',
        detail: problem ?? '',
        status: 0,
        field: field ?? undefined,
        said: said ?? undefined,
      });
    }
    await pause(PAUSE_MS);
  }
}

const pause = (millis: number) => new Promise((resolve) => setTimeout(resolve, millis));

async function asked(id: string): Promise<JobView> {
  const until = Date.now() + PATIENCE_MS;
  for (;;) {
    try {
      return await api.job(id);
    } catch (e) {
      const away = e instanceof Failed && (e.problem.status === 0 || e.problem.status >= 500);
      if (!away || Date.now() > until) throw e;
      await pause(5 * PAUSE_MS);
    }
  }
}
