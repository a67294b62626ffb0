/** The car as its laps have it, value by value, with the error of each. */
package marvek.core.measured;
