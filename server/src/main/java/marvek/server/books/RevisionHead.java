package marvek.server.books;

import java.time.Instant;
import java.util.UUID;

/** What lists show of a revision, without its document. */
record RevisionHead(
    UUID bookId, int number, Integer parent, Instant createdAt, String reason, double timeS) {}
