/**
 * Measuring sound as it comes by: loudness, true peak, spectra, the shape of waves, in memory that does not grow with the
 * length. Full scale is 1. Knows no files and judges nothing.
 */
package kalodyne.core.sound.measure;
