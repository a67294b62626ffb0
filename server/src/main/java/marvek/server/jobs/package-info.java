/** Long work in the database, with progress and cancel. */
package marvek.server.jobs;
