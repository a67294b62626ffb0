/** Where on the road to drive: the corridor that is allowed, and lines through it. */
package marvek.core.line;
