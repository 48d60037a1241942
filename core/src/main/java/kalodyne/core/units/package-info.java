/**
 * Quantities with their units: exact conversions, reading them as data sheets print them, printing them.
 *
 * <p>Logarithms of levels live here and nowhere else. References: 0 dBu is √0.6 V RMS (from a power of 1 mW in 600 Ω);
 * 0 dBV is 1 V RMS; 0 dBFS is the RMS of a sine that just reaches full scale (AES17).
 */
package kalodyne.core.units;
