package marvek.server.accounts;

/**
 * How people come in; the start command decides it, never the address that a request comes from.
 */
enum SignInMode {
  /** Open to loopback alone, as the one driver. */
  NONE,
  /** Open on the local network, to devices that were paired; loopback signs in too. */
  PAIRING,
  /** As that, and people sign in by a name and a password of their own: a club's server. */
  ACCOUNTS
}
