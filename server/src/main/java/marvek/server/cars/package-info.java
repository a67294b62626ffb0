/** Cars of a driver: taken in from open files, kept as their documents. */
package marvek.server.cars;
