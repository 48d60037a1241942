/**
 * What whole rigs do to the level: stages that feed each other through joints and buses, controls that act on them, and
 * where those controls should stand.
 *
 * <p>Peaks are told as the RMS of the sine that has the same peak. What one player gives adds up as voltages; what several
 * players give, and all noises, add up as powers. Gains and ceilings hold at 1 kHz.
 */
package kalodyne.core.levels.gain;
