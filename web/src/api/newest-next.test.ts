import { describe, expect, it } from 'vitest';
import { NewestNext } from './newest-next.svelte';

const soon = () => new Promise((resolve) => setTimeout(resolve));

describe('one task at a time', () => {
  it('runs the newest of what came meanwhile, and nothing between', async () => {
    const row = new NewestNext();
    const ran: number[] = [];
    const ends: (() => void)[] = [];
    const task = (n: number) => () => {
      ran.push(n);
      return new Promise<void>((resolve) => ends.push(resolve));
    };
    void row.run(task(0));
    const all = row.run(task(1));
    await soon();
    void row.run(task(2));
    void row.run(task(3));
    expect(ran).toEqual([1]);
    expect(row.waits).toBe(true);
    ends[0]();
    await soon();
    expect(ran).toEqual([1, 3]);
    expect(row.waits).toBe(false);
    expect(row.running).toBe(true);
    ends[1]();
    await all;
    expect(row.running).toBe(false);
  });

  it('is free again after a task that failed', async () => {
    const row = new NewestNext();
    await expect(row.run(() => Promise.reject(new Error('no')))).rejects.toThrow('no');
    expect(row.running).toBe(false);
    await row.run(() => Promise.resolve());
    expect(row.running).toBe(false);
  });
});
