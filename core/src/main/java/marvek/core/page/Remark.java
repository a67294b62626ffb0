package marvek.core.page;

import marvek.core.say.Sentence;

/**
 * Something to know about a value of a page that the model could not follow.
 *
 * @param field name of the value in the book format
 */
public record Remark(int corner, String field, Sentence said) {}
