package marvek.core.page;

import marvek.core.mark.By;
import org.jspecify.annotations.Nullable;

/**
 * How a driver tells a point of a page himself.
 *
 * @param mark label of the thing, null for none
 * @param words his own wording of it, null for the computed one
 * @param phrase what is said of the point in the call-outs, null for nothing of its own
 */
public record ToldPoint(
    PagePoint point,
    By by,
    @Nullable String mark,
    @Nullable String words,
    @Nullable String phrase) {}
