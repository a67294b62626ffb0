/**
 * Who and what comes in at all, before any feature sees it: only pages of Marvek's own and scripts,
 * bodies no larger and no slower than their path allows.
 */
package marvek.server.doors;
