/** Before a session: what other days do to a reference. */
package marvek.core.brief;
