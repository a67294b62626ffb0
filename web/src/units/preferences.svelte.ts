import type { LengthUnit, SpeedUnit } from './format';
import { lengthIn, speedIn, whole } from './format';

const KEY = 'marvek.preferences';

type Theme = 'paper' | 'garage';

interface Stored {
  speed?: SpeedUnit;
  length?: LengthUnit;
  theme?: Theme;
  letterKeys?: boolean;
}

function stored(): Stored {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? '{}');
  } catch {
    return {};
  }
}

/** What the driver chose for every screen at once; kept in the browser. */
class Preferences {
  speed = $state<SpeedUnit>(stored().speed ?? 'km/h');
  length = $state<LengthUnit>(stored().length ?? 'm');
  theme = $state<Theme>(stored().theme ?? 'paper');
  /** Whether a letter, figure or sign alone is a shortcut (WCAG 2.2, 2.1.4). */
  letterKeys = $state(stored().letterKeys ?? true);

  keep() {
    const { speed, length, theme, letterKeys } = this;
    localStorage.setItem(KEY, JSON.stringify({ speed, length, theme, letterKeys }));
  }

  setSpeed(unit: SpeedUnit) {
    this.speed = unit;
    this.keep();
  }

  setLength(unit: LengthUnit) {
    this.length = unit;
    this.keep();
  }

  setLetterKeys(on: boolean) {
    this.letterKeys = on;
    this.keep();
  }

  toggleTheme() {
    this.theme = this.theme === 'paper' ? 'garage' : 'paper';
    this.keep();
  }

  /** What writes figures in these units, for words that are made elsewhere. */
  readonly writer = {
    speed: (mps: number) => this.speedText(mps),
    length: (m: number) => this.lengthText(m),
    across: (m: number) => this.acrossText(m),
  };

  /** Speed with its unit. */
  speedText(mps: number): string {
    return `${whole(speedIn(mps, this.speed))} ${this.speed}`;
  }

  /** Length across the road, to a decimal or more, with its unit. */
  acrossText(metres: number, decimals = 1): string {
    return `${lengthIn(metres, this.length).toFixed(decimals).replace('-', '−')} ${this.length}`;
  }

  /** Length with its unit. */
  lengthText(metres: number): string {
    return `${whole(lengthIn(metres, this.length))} ${this.length}`;
  }
}

export const preferences = new Preferences();
