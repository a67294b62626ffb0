import { describe, expect, it } from 'vitest';
import { begun, change, redo, replace, undo } from './undo';

describe('steps that can be taken back', () => {
  const two = change(change(begun(0), 1), 2);

  it('lead back, and forth again', () => {
    expect(undo(two).now).toBe(1);
    expect(undo(undo(two)).now).toBe(0);
    expect(redo(undo(two)).now).toBe(2);
    expect(redo(redo(undo(undo(two)))).now).toBe(2);
  });

  it('end where they began', () => {
    const none = begun(0);
    expect(undo(none)).toBe(none);
    expect(redo(two)).toBe(two);
  });

  it('forget what was undone once something else is done', () => {
    const other = change(undo(two), 9);
    expect(redo(other)).toBe(other);
    expect(undo(other).now).toBe(1);
  });

  it('count a movement once', () => {
    const moved = replace(replace(change(two, 3), 4), 5);
    expect(moved.now).toBe(5);
    expect(undo(moved).now).toBe(2);
    expect(redo(undo(moved)).now).toBe(5);
  });

  it('are kept two hundred deep', () => {
    let many = begun(0);
    for (let k = 1; k <= 250; k++) many = change(many, k);
    for (let k = 0; k < 300; k++) many = undo(many);
    expect(many.now).toBe(50);
  });
});
