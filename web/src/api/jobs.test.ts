import { afterEach, describe, expect, it, vi } from 'vitest';
import { api, Failed } from './client';
import { waitForJob } from './jobs';
import type { JobView } from './types';

function answers(...views: Partial<JobView>[]) {
  const job = vi.spyOn(api, 'job');
  views.forEach((view) => job.mockResolvedValueOnce({ id: 'j', progress: 0, ...view } as JobView));
}

describe('waiting for a job', () => {
  afterEach(() => vi.restoreAllMocks());

  it('tells how far it is and gives its result', async () => {
    answers(
      { status: 'running', progress: 0.4 },
      { status: 'done', progress: 1, result: { id: 'x', revision: 1 } },
    );
    const told: number[] = [];
    expect(await waitForJob('j', (w) => told.push(w.progress))).toBe('x');
    expect(told).toEqual([0.4, 1]);
  });

  it('gives nothing once it was cancelled', async () => {
    answers({ status: 'cancelled' });
    expect(await waitForJob('j', () => {})).toBeUndefined();
  });

  it('fails with the words of the server', async () => {
    answers({ status: 'failed', problem: 'the car is too weak' });
    await expect(waitForJob('j', () => {})).rejects.toBeInstanceOf(Failed);
  });
});
