/** The vehicle: masses, drive, tyres, brakes and air, as the force model needs them. SI units. */
package marvek.core.vehicle;
