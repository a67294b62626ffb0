/** Corners of a road: found from its curvature or drawn by hand, and put into classes. */
package marvek.core.corner;
