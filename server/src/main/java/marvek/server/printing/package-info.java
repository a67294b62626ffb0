/**
 * What is taken to the car on paper: the session card as a PDF, from a kept revision and in the
 * driver's units. Needs no network; its fonts are shipped.
 */
package marvek.server.printing;
