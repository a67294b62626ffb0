import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

const SOURCES = readdirSync('src', { recursive: true, encoding: 'utf8' }).filter(
  (file) => file.endsWith('.svelte') && !file.startsWith('ui/'),
);

/** What is made under `ui/` once, with its keys and its focus, and by nobody else. */
const PARTS: [string, RegExp][] = [
  ['tabs: ui/Tabs', /role="?\{?['"]?tab(list|panel)?['"]/],
  ['a menu: ui/Menu', /role="menu|class="dropdown/],
  ['a dialog: ui/Dialog', /<dialog|role="(alert)?dialog"|showModal/],
  ['what lies over a screen: ui/Popover', /popover=/],
  ['a file: ui/FileButton', /type="file"/],
  ['long work: ui/LongWork', /<progress/],
  ['the library behind them', /from 'bits-ui'/],
];

describe('parts of the interface', () => {
  it('are looked for in every screen', () => expect(SOURCES.length).toBeGreaterThan(80));

  it.each(PARTS)('has one home: %s', (_, own) => {
    expect(SOURCES.filter((file) => own.test(readFileSync(`src/${file}`, 'utf8')))).toEqual([]);
  });
});
