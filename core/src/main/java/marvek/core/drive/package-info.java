/**
 * What comes of driving a page as it is written: the driver's own points on a lap of the model, and
 * what a slip costs.
 */
package marvek.core.drive;
