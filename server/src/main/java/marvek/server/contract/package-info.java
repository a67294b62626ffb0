/**
 * The description of the interface at {@code /api/openapi.json}, which the front end's types are
 * generated from: whole, and the same as what is answered.
 */
package marvek.server.contract;
