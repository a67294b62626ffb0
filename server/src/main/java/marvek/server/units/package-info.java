/** Units that a driver reads and hears. */
package marvek.server.units;
