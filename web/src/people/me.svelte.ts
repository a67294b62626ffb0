import { api } from '../api/client';
import type { Me } from '../api/people-calls';

/** Who sits here, as far as it is known: alone on one's own machine it is the driver. */
class WhoIAm {
  now = $state.raw<Me>({ shared: false, name: '', role: 'DRIVER' });

  /** Whether a revision may be kept, and all else that changes things. */
  get edits(): boolean {
    return this.now.role === 'DRIVER';
  }

  look = async () => {
    // Where it cannot be told, what is refused is told then.
    this.now = await api.me().catch(() => this.now);
  };
}

export const me = new WhoIAm();
