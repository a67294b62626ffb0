/**
 * How fast a vehicle can go along a path: forces, speed profile, gears. Arrays have one value a
 * sample of the path; {@code w} in hot loops is the square of the speed [m²/s²].
 */
package marvek.core.profile;
