/** What the day brings: air, grip, fuel, wind and the driver's own share of the limit. */
package marvek.core.conditions;
