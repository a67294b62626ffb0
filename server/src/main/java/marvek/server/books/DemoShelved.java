package marvek.server.books;

import java.util.UUID;

/**
 * All demo books are on the shelf; what other features add belongs to the same transaction.
 *
 * @param motorcycleBookId the riders' book of the first circuit
 */
public record DemoShelved(UUID motorcycleBookId) {}
