import { afterEach, describe, expect, it, vi } from 'vitest';
import { api, Failed } from './client';
import { UNREACHABLE } from './http';
import { leaveJob, waitForJob } from './jobs';
import type { JobView } from './types';

function answers(...views: Partial<JobView>[]) {
  const job = vi.spyOn(api, 'job');
  views.forEach((view) => job.mockResolvedValueOnce({ id: 'j', progress: 0, ...view } as JobView));
}

describe('waiting for a job', () => {
  afterEach(() => {
    vi.useRealTimers();
    vi.restoreAllMocks();
  });

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

  it('gives nothing once it was left, though it goes on for others', async () => {
    vi.useFakeTimers();
    vi.spyOn(api, 'cancel').mockResolvedValue({ id: 'j', status: 'running' } as JobView);
    answers({ status: 'running' }, { status: 'running' }, { status: 'running' });
    const waiting = waitForJob('j', () => {});
    await leaveJob('j');
    await vi.advanceTimersByTimeAsync(300);
    expect(await waiting).toBeUndefined();
  });

  it('waits for a server that is started anew', async () => {
    vi.useFakeTimers();
    const away = new Failed({ title: 'busy', detail: 'the database is away', status: 503 });
    vi.spyOn(api, 'job').mockRejectedValueOnce(new Failed(UNREACHABLE)).mockRejectedValueOnce(away);
    answers({ status: 'done', progress: 1, result: { id: 'x', revision: 1 } });
    const waiting = waitForJob('j', () => {});
    await vi.advanceTimersByTimeAsync(2100);
    expect(await waiting).toBe('x');
  });

  it('does not wait for ever, nor for a job that is not known', async () => {
    vi.useFakeTimers();
    vi.spyOn(api, 'job').mockRejectedValue(new Failed(UNREACHABLE));
    const waiting = expect(waitForJob('j', () => {})).rejects.toThrow('cannot be reached');
    await vi.advanceTimersByTimeAsync(62_000);
    await waiting;
    vi.spyOn(api, 'job').mockRejectedValue(
      new Failed({ title: 'Not found', detail: 'no such job', status: 404 }),
    );
    await expect(waitForJob('j', () => {})).rejects.toThrow('no such job');
  });

  it('fails with the words of the server', async () => {
    answers({ status: 'failed', problem: 'the car is too weak' });
    await expect(waitForJob('j', () => {})).rejects.toBeInstanceOf(Failed);
  });
});
