import { describe, expect, it } from 'vitest';
import { Failed } from './http';
import { Working } from './working.svelte';

const refusal = { title: 'Not found', detail: 'There is no book.', status: 404 };
const refused = () => Promise.reject(new Failed(refusal));

describe('work that somebody waits for', () => {
  it('is under way until all of it has ended', async () => {
    const working = new Working();
    let first = () => {};
    let second = () => {};
    const one = working.run(() => new Promise<void>((end) => (first = end)));
    const two = working.run(() => new Promise<void>((end) => (second = end)));
    first();
    expect(await one).toBe(true);
    expect(working.busy).toBe(true);
    second();
    await two;
    expect(working.busy).toBe(false);
  });

  it('shows what was refused until it is tried again or taken away', async () => {
    const working = new Working();
    expect(await working.run(refused)).toBe(false);
    expect(working.problem).toEqual(refusal);
    expect(working.busy).toBe(false);
    await working.run(async () => {});
    expect(working.problem).toBeUndefined();
    await working.run(refused);
    working.clear();
    expect(working.problem).toBeUndefined();
  });

  it('leaves a refusal to who can do something about it', async () => {
    const working = new Working();
    const heard: unknown[] = [];
    await working.run(refused, (problem) => heard.push(problem) > 0);
    expect(heard).toEqual([refusal]);
    expect(working.problem).toBeUndefined();
    await working.run(refused, () => false);
    expect(working.problem).toEqual(refusal);
  });

  it('hides no fault of its own', async () => {
    const working = new Working();
    await expect(working.run(() => Promise.reject(new TypeError('of undefined')))).rejects.toThrow(
      'of undefined',
    );
    expect(working.busy).toBe(false);
  });
});
