import { api } from '../api/client';
import type { Me } from '../api/people-calls';

const KEPT = 'marvek.me';
const ALONE: Me = {
  shared: false,
  accounts: false,
  keeper: true,
  name: '',
  role: 'DRIVER',
  shelves: [],
};

/** As it was told last, so that the screen need not wait for it. */
function kept(): Me {
  try {
    const told = JSON.parse(localStorage.getItem(KEPT) ?? '{}') as Partial<Me> | null;
    return { ...ALONE, ...told };
  } catch {
    return ALONE;
  }
}

/** Who sits here, as far as it is known: alone on one's own machine it is the driver. */
class WhoIAm {
  now = $state.raw<Me>(kept());

  /** Whether a revision may be kept, and all else that changes things. */
  get edits(): boolean {
    return this.now.role === 'DRIVER';
  }

  look = async () => {
    // Where it cannot be told, what is refused is told then.
    this.now = await api.me().catch(() => this.now);
    localStorage.setItem(KEPT, JSON.stringify(this.now));
  };
}

export const me = new WhoIAm();
