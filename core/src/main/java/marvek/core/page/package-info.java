/**
 * A corner's page: what stands on it, the one list of what a driver can own of it, how the model
 * writes it, and how it is carried to another layout.
 */
package marvek.core.page;
