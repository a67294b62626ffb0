/**
 * From a solved lap to the page of each corner: its action points, and the marks that make them
 * words.
 */
package marvek.core.page;
