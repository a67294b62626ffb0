/**
 * The reference of a book: line, lap and pages of a road, a vehicle and a day, with the driver's
 * own values in their place, and what else is asked of them.
 */
package marvek.core.reference;
