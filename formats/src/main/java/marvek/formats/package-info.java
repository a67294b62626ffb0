/**
 * Readers and writers of the open formats. A reader refuses a whole file with the place and the
 * remedy, or gives the thing together with what it had to assume.
 */
package marvek.formats;
