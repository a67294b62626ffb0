/**
 * Reference books: a circuit and a car with the revisions of their pages. Revisions are immutable;
 * a draft is tried out against the model without being stored.
 */
package marvek.server.books;
