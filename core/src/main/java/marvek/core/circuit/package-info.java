/**
 * The place: surveyed centreline, road as a sampled line, and what stands, lies and waits along it.
 *
 * <p>Conventions, once for the whole core: station {@code s} in metres of plan length along the
 * centreline from the start/finish line, {@code 0 <= s < length}; lateral offset in metres,
 * positive to the left of travel; curvature in 1/m, positive in a left-hander; banking in radians,
 * positive where the right edge is the higher one. Closed roads wrap, open roads clamp.
 */
package marvek.core.circuit;
