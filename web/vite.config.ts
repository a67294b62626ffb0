import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import { readdirSync, readFileSync } from 'node:fs';
import { defineConfig } from 'vitest/config';
import { firstBook, firstParts } from './first-parts.mjs';
import { guideSections } from './guide-sections.mjs';

// During development the API comes from a running `./marvek start`.
const server = process.env.MARVEK_URL ?? 'http://127.0.0.1:8080';

// The server answers what its own pages ask, no other origin.
const proxied = { target: server, headers: { origin: server } };

/** Files of tests that put modules of their own in the place of others, or the rest. */
const tests = (othersInPlace: boolean) =>
  readdirSync('src', { recursive: true, encoding: 'utf8' })
    .map((path) => `src/${path}`)
    .filter((path) => path.endsWith('.test.ts'))
    .filter((path) => readFileSync(path, 'utf8').includes('vi.mock(') === othersInPlace);

export default defineConfig({
  plugins: [svelte(), tailwindcss(), guideSections(), firstParts()],
  server: {
    host: '127.0.0.1',
    // The guide lies beside the interface.
    fs: { allow: ['..'] },
    proxy: { '/api': proxied, '/ready': proxied },
  },
  build: {
    target: 'es2022',
    outDir: 'dist',
    emptyOutDir: true,
    rolldownOptions: {
      output: {
        // What every screen needs comes in one piece, not in thirty of a kilobyte; what stands over a
        // screen comes when it is opened first.
        codeSplitting: {
          groups: [
            {
              name: 'common',
              test: /\/src\/(ui\/(?!Dialog|Keys|Menu|Popover|Stale|Tabs)|units|api\/(?!lap-calls)|say\/say)/,
            },
            {
              name: 'parts',
              test: /\/node_modules\/(bits-ui|@floating-ui|svelte-toolbelt|runed)\/|\/src\/ui\/Menu/,
            },
            { name: firstBook },
          ],
        },
      },
    },
  },
  test: {
    // Most of the time would go into loading the same modules anew for each file.
    projects: [
      { extends: true, test: { name: 'plain', include: tests(false), isolate: false } },
      { extends: true, test: { name: 'with other modules', include: tests(true) } },
    ],
  },
});
