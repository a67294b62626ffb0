package marvek.core.page;

/**
 * A page to be checked on track before it is trusted again.
 *
 * @param reason what changed, in words
 */
public record PageCheck(int corner, String reason) {}
