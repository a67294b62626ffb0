/** Laps brought in after a session, read against the page. */
package marvek.server.laps;
