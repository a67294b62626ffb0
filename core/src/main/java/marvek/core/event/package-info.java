/**
 * What happens on a lap and where: braking zones, the span of a corner and its points, throttle.
 * Found once; pages, drives, stakes, balance and schools read it. Positions are samples of the
 * lap's road; nothing is looked for beyond the corner's own span.
 */
package marvek.core.event;
