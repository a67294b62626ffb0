/**
 * A driver learns a book: questions on its pages, asked again by spaced repetition. Reads books
 * through {@code books}; keeps only how far each answer is learned.
 */
package marvek.server.rehearse;
