import { expect, it } from 'vitest';
import { GENERATED, kept } from '../../contract.mjs';

/** The server holds the other half: openapi.json is what it describes itself as. */
it.each(Object.entries(GENERATED))(
  '%s is what openapi.json gives; ./marvek contract writes all anew',
  async (path, make) => {
    expect(kept(path)).toBe(await make());
  },
);
