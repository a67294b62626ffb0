package marvek.core.page;

import marvek.core.say.Sentence;

/**
 * A page to be checked on track before it is trusted again.
 *
 * @param reason what changed
 */
public record PageCheck(int corner, Sentence reason) {}
