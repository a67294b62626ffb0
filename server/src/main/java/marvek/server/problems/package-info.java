/** Errors as answers: RFC 9457 problem details that say what happened, where, and what to do. */
package marvek.server.problems;
