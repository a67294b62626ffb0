import { describe, expect, it } from 'vitest';
import { codeTyped, deviceName, shelfWords } from './roles';

describe('a code that is typed', () => {
  it('stands as it was shown, however it is typed', () => {
    expect(codeTyped('eag6 v9cx')).toBe('EAG6-V9CX');
    expect(codeTyped('EAG6-V9CXZZ')).toBe('EAG6-V9CX');
    expect(codeTyped('ea')).toBe('EA');
  });
});

describe('a device', () => {
  it('is called after what it is', () => {
    expect(deviceName('Mozilla/5.0 (Linux; Android 14; X) Chrome/1 Mobile Safari/5')).toBe(
      'Android telephone',
    );
    expect(deviceName('Mozilla/5.0 (X11; Linux x86_64)')).toBe('Linux computer');
    expect(deviceName('')).toBe('device');
  });
});

describe('a shelf', () => {
  it('is told by whose it is, what is seen of it, and as what', () => {
    expect(shelfWords({ name: 'Orla', role: 'DRIVER' })).toBe('Your own');
    expect(shelfWords({ name: 'Orla', role: 'COACH', bookId: null })).toBe('All of Orla, as coach');
    expect(shelfWords({ name: 'Orla', role: 'GUEST', bookId: 'b' })).toBe(
      'One book of Orla, as guest',
    );
  });
});
