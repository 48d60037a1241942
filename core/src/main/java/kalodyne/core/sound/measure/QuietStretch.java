package kalodyne.core.sound.measure;

/**
 * One of the quietest stretches of a channel.
 *
 * @param fromFrame its first frame
 * @param toFrame behind its last frame
 * @param power mean square round its mean, full scale 1
 * @param unrest how many times as much power its loudest part of sixteen has as its quietest
 * @param spectrum of this stretch alone
 */
public record QuietStretch(long fromFrame, long toFrame, double power, double unrest, Spectrum spectrum) {}
