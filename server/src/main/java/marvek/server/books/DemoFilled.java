package marvek.server.books;

import java.util.UUID;

/**
 * The first demo book has just been put on an empty shelf; what other features add to it belongs to
 * the same transaction.
 *
 * @param revision number of its newest revision
 */
public record DemoFilled(UUID bookId, int revision) {}
