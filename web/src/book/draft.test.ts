import { describe, expect, it } from 'vitest';
import type { Revision } from '../api/types';
import { change, redo, replace, undo } from '../ui/undo';
import { begin, countChanges, setOwn } from './draft';

const revision = {
  conditions: { surface: 'dry' },
  ownValues: [{ corner: 4, 'gears.corner': 2, source: 'driver' }],
} as unknown as Revision;

describe('a draft', () => {
  it('gives every step back in order, and forward again', () => {
    const start = begin(revision);
    const one = change(start, setOwn(start.now, 1, 'brake.at_m', 320));
    const two = change(one, setOwn(one.now, 1, 'brake.at_m', 310));
    expect(undo(two).now).toEqual(one.now);
    expect(undo(undo(two)).now).toEqual(start.now);
    expect(redo(undo(two)).now).toEqual(two.now);
    expect(undo(start)).toBe(start);
  });

  it('forgets the undone steps once something else is changed', () => {
    const start = begin(revision);
    const one = change(start, setOwn(start.now, 1, 'brake.at_m', 320));
    const other = change(undo(one), setOwn(start.now, 2, 'notes', 'dusty'));
    expect(redo(other)).toBe(other);
  });

  it('takes a drag as one step, however far it goes', () => {
    const start = begin(revision);
    const taken = change(start, setOwn(start.now, 1, 'brake.at_m', 320));
    const further = replace(taken, setOwn(taken.now, 1, 'brake.at_m', 316));
    const last = replace(further, setOwn(further.now, 1, 'brake.at_m', 311));
    expect(last.now.ownValues[0]['brake.at_m']).toBe(311);
    expect(undo(last).now).toEqual(start.now);
    expect(redo(undo(last)).now).toEqual(last.now);
  });

  it('drops a corner whose last own value goes back to the model', () => {
    const start = begin(revision).now;
    expect(setOwn(start, 4, 'gears.corner', undefined).ownValues).toEqual([]);
    expect(start.ownValues).toHaveLength(1);
  });

  it('counts single values, own ones and conditions alike', () => {
    const start = begin(revision).now;
    let next = setOwn(start, 4, 'notes', 'late');
    next = setOwn(next, 9, 'brake.at_m', 2700);
    next = { ...next, conditions: { ...next.conditions, surface: 'wet' } };
    expect(countChanges(start, next)).toBe(3);
    expect(countChanges(start, start)).toBe(0);
  });

  it('forgets the laps behind a value that is changed, and keeps the others', () => {
    const measured = {
      ...begin(revision).now,
      ownValues: [
        {
          corner: 9,
          'brake.at_m': 2700,
          'throttle.first_m': 2800,
          measured: { 'brake.at_m': ['lap 2'], 'throttle.first_m': ['lap 3'] },
        },
      ],
    };
    const moved = setOwn(measured, 9, 'brake.at_m', 2710);
    expect(moved.ownValues[0].measured).toEqual({ 'throttle.first_m': ['lap 3'] });
    const both = setOwn(moved, 9, 'throttle.first_m', 2810);
    expect(both.ownValues[0].measured).toBeUndefined();
    expect(countChanges(measured, moved)).toBe(1);
  });
});
