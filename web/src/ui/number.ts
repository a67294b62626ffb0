/** What a number that is typed has to keep to, in the unit that the driver reads. */
export interface Bounds {
  min?: number;
  max?: number;
  unit?: string;
  /** Whether it counts something: no part of one is taken. */
  whole?: boolean;
  /** Whether the field may be left empty. */
  optional?: boolean;
}

/** A number as it was typed, nothing where it may be empty, or what is wrong with it in words. */
export type Typed = { value: number | undefined; wrong?: undefined } | { wrong: string };

/** Reads a typed number: the whole of it or nothing, never a different number. */
export function readNumber(text: string, bounds: Bounds): Typed {
  const trimmed = text.trim();
  if (trimmed === '') {
    return bounds.optional
      ? { value: undefined }
      : { wrong: `A number${within(bounds)} is missing.` };
  }
  const value = Number(trimmed.replace(',', '.').replace('−', '-'));
  if (!Number.isFinite(value)) return { wrong: `"${trimmed}" is no number.` };
  if (value < (bounds.min ?? -Infinity) || value > (bounds.max ?? Infinity)) {
    const unit = bounds.unit ? ` ${bounds.unit}` : '';
    return { wrong: `${trimmed}${unit} cannot be: it must lie${within(bounds)}.` };
  }
  if (bounds.whole && !Number.isInteger(value)) {
    return { wrong: `${trimmed} cannot be: it must be a whole number.` };
  }
  return { value };
}

function within({ min, max, unit }: Bounds): string {
  const figure = (n: number) => `${Number(n.toFixed(2))}${unit ? ` ${unit}` : ''}`;
  if (min !== undefined && max !== undefined) return ` between ${figure(min)} and ${figure(max)}`;
  if (min !== undefined) return ` at or above ${figure(min)}`;
  return max !== undefined ? ` at or below ${figure(max)}` : '';
}
