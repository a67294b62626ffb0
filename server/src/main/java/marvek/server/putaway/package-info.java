/**
 * Putting stored things away: they are not there any more, are taken back within thirty days, and
 * then go for good, or at once where somebody says so who has read what goes with them.
 */
package marvek.server.putaway;
