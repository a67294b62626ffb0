/** How a point on the road is told: by what stands beside it, or by a count of time. */
package marvek.core.mark;
