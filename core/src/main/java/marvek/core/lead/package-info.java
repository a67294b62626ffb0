/** A group that is led round by an instructor: who drives where, and what is said to whom. */
package marvek.core.lead;
