package marvek.server.contract;

import jakarta.validation.constraints.NotNull;

/** What something is to be called. */
public record NameBody(@NotNull String name) {}
