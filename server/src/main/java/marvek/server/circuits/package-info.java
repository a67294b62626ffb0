/**
 * Circuits of a driver: taken in from open files, kept as their documents. {@code Circuits} is what
 * other features see.
 */
package marvek.server.circuits;
