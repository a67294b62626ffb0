import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

const css = readFileSync(new URL('./app.css', import.meta.url), 'utf8');

/** Declarations of a theme, by their names. */
function themes(): Map<string, Map<string, string>> {
  const found = new Map<string, Map<string, string>>();
  for (const [, body] of css.matchAll(/@plugin 'daisyui\/theme' \{([^}]*)\}/g)) {
    const lines = body
      .split(';')
      .map((line) => line.split(/:(.*)/s).map((part) => part.trim()))
      .filter(([name]) => name);
    const theme = new Map(lines.map(([name, value]) => [name, value]));
    found.set(theme.get('name')!, theme);
  }
  return found;
}

describe('the themes', () => {
  /** What fits in one fits in the other: the journeys measure one of them. */
  it('differ in nothing but colours', () => {
    const all = themes();
    expect([...all.keys()]).toEqual(["'paper'", "'garage'"]);
    const [paper, garage] = [...all.values()];
    const shapes = (theme: Map<string, string>) =>
      [...theme].filter(([name]) => !/^(name|default|color-scheme|--color-)/.test(name));
    expect(shapes(garage)).toEqual(shapes(paper));
    expect(shapes(paper).length).toBeGreaterThan(3);
    const colours = (theme: Map<string, string>) =>
      [...theme.keys()].filter((name) => name.startsWith('--color-'));
    expect(colours(garage)).toEqual(colours(paper));
  });

  it('are told apart by colours alone in the rest of the sheet', () => {
    const rest = css.replace(/@plugin 'daisyui\/theme' \{[^}]*\}/g, '');
    for (const [, body] of rest.matchAll(/\[data-theme=[^{]*\{([^}]*)\}/g)) {
      expect(body).not.toMatch(/\b(width|height|padding|margin|font|border|display|gap|size)\b/);
    }
  });
});
