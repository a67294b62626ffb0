/** The lap in the head: questions on the pages, and when each is asked again. */
package marvek.core.rehearse;
