/** What the sun does to a circuit at an hour: shadows that move, marks in shade, glare. */
package marvek.core.light;
