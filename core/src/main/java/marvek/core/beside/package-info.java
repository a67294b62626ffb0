/** Two laps laid beside each other along the whole lap. */
package marvek.core.beside;
