package kalodyne.core.findings;

/**
 * The number that a finding rests on.
 *
 * @param value finite, or negative infinity for a level of nothing
 * @param unit as printed, such as "dB", "dBFS", "Hz" or "samples"
 */
public record Figure(double value, String unit) {}
