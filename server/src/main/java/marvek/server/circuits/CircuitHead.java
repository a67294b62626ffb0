package marvek.server.circuits;

import java.time.LocalDate;
import java.util.UUID;

/**
 * What lists show of a layout version, without its document.
 *
 * @param draft whether edits of it are not kept yet
 */
record CircuitHead(
    UUID id,
    UUID placeId,
    int version,
    String name,
    String layout,
    String timeZone,
    LocalDate validFrom,
    double lengthM,
    int corners,
    boolean draft) {}
