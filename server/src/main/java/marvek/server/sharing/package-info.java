/**
 * Marvek opened on the local network: names and addresses of this machine, certificates for them
 * from an authority of its own, and the one page that is served without them.
 */
package marvek.server.sharing;
