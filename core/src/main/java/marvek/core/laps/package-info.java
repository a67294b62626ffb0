/**
 * Laps as they were recorded: where they were driven, cut at the line, and what was done in each
 * corner.
 */
package marvek.core.laps;
