import { describe, expect, it } from 'vitest';
import { reads, started, stopped, type RunClock } from './run-clock';

const ready: RunClock = { at_s: 0, share: 0.5 };

describe('the clock of a run', () => {
  it('goes at the share of speed from its start', () => {
    const going = started(ready, 1000);
    expect(reads(going, 1000)).toBe(0);
    expect(reads(going, 5000)).toBe(2);
    expect(reads(going, 900)).toBe(0);
  });

  it('stands while it is stopped and goes on from there', () => {
    const standing = stopped(started(ready, 1000), 5000);
    expect(reads(standing, 99000)).toBe(2);
    expect(reads(started(standing, 100000), 101000)).toBe(2.5);
  });

  it('starts once', () => {
    const going = started(ready, 1000);
    expect(started(going, 4000)).toBe(going);
  });
});
