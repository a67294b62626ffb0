/**
 * What cost a lap its time: accounts of each corner by the cost to go, the causes that a corner's
 * account is split into, and what is left unexplained. Reads laps as {@code laps} gives them.
 */
package marvek.core.cause;
