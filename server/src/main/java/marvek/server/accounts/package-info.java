/**
 * Whose things are whose. One driver for now; {@code CurrentDriver} is all that others see of it.
 */
package marvek.server.accounts;
