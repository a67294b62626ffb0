import { describe, expect, it } from 'vitest';
import { signedOut } from './signed-out.svelte';

describe('a device that is not signed in', () => {
  it('is so until something of somebody is answered, whoever asks who he is meanwhile', () => {
    signedOut.heard({ status: 401, url: 'https://pit.local/api/books' });
    signedOut.heard({ status: 200, url: 'https://pit.local/api/me' });
    expect(signedOut.now).toBe(true);
    signedOut.heard({ status: 200, url: 'https://pit.local/api/books' });
    expect(signedOut.now).toBe(false);
  });
});
