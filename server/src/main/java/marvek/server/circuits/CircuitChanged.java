package marvek.server.circuits;

import java.util.UUID;

/** A version that no book uses yet was changed in place: what was computed from it is void. */
public record CircuitChanged(UUID circuitId) {}
