/** What is learned between sessions: step plans now; findings and proposals to come. */
package marvek.core.review;
