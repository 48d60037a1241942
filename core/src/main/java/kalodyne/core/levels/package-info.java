/**
 * What a run does to the level: the loudest peak, the average and the noise at every stage, which stage clips first and
 * which one makes the noise, where the controls should stand, and what is wrong if nothing fits.
 *
 * <p>Peaks are told as the RMS of the sine that has the same peak. Noises have nothing to do with each other, so that
 * their powers add. Gains and ceilings hold at 1 kHz.
 */
package kalodyne.core.levels;
