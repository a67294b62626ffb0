import { expect, it } from 'vitest';
import { kept, typesOfContract } from '../../contract.mjs';

/** The server holds the other half: openapi.json is what it describes itself as. */
it('has the types that openapi.json gives; ./marvek contract writes both anew', async () => {
  expect(kept()).toBe(await typesOfContract());
});
