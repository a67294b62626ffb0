package marvek.core.page;

import marvek.core.circuit.MarkType;
import marvek.core.circuit.Side;

/**
 * A point put into words through a mark.
 *
 * @param mark label of the mark
 * @param offsetM metres past its station, before it negative
 * @param thing the mark itself in words, without metres: "the 100 board, left"
 * @param text the whole words, in metres
 */
public record MarkReference(
    String mark, MarkType type, Side side, double offsetM, String thing, String text) {}
