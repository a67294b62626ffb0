/** An instructor leads a group through a session: line, remarks, sheets. */
package marvek.server.lead;
