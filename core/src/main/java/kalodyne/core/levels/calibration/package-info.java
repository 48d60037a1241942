/** What test takes with known knob positions say about the true level of a source and the true law of a knob. */
package kalodyne.core.levels.calibration;
