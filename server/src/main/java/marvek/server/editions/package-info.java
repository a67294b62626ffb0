/**
 * Changes made from a state that somebody else has changed meanwhile are told, not stored. What is
 * kept in place counts its editions; a change names the one it was made from with If-Match (RFC
 * 9110, section 13.1.1).
 */
package marvek.server.editions;
