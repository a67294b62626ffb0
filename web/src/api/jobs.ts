import { api, Failed } from './client';

/** A job that is waited for. */
export interface Waiting {
  id: string;
  /** Share done, 0 to 1. */
  progress: number;
}

const PAUSE_MS = 200;

/**
 * Waits for a job of the server.
 *
 * @param told called each time it is heard how far it is
 * @returns the id of its result; nothing if it was cancelled
 * @throws Failed if it failed
 */
export async function waitForJob(
  id: string,
  told: (waiting: Waiting) => void,
): Promise<string | undefined> {
  for (;;) {
    const job = await api.job(id);
    told({ id, progress: job.progress });
    if (job.status === 'done') return job.result!.id;
    if (job.status === 'cancelled') return undefined;
    if (job.status === 'failed') {
      throw new Failed({ title: 'It could not be computed', detail: job.problem ?? '', status: 0 });
    }
    await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
  }
}
