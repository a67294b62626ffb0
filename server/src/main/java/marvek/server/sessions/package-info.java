/**
 * Sessions of a book: planned with their conditions, prepared page by page, issued as a revision,
 * briefed, driven. Holds the step plans' states too. Revisions are made through {@code books}.
 */
package marvek.server.sessions;
