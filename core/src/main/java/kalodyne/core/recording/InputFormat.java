package kalodyne.core.recording;

/**
 * How an input gives its samples.
 *
 * @param sampleRateHz above 0
 * @param channels 1 or more
 * @param bits of each sample: 16 or 24
 */
public record InputFormat(int sampleRateHz, int channels, int bits) {}
