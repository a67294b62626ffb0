/** Long work with progress and cancel. */
package marvek.server.jobs;
