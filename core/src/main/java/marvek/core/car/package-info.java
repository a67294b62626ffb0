/** What a car is worth on a circuit: gears, brake balance, grip, and what a change of it does. */
package marvek.core.car;
