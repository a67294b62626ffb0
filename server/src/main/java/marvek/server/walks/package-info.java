/**
 * Track walks: a list in driving order of what to check, notes with station and photo, and at the
 * end a new layout version with what changed.
 */
package marvek.server.walks;
