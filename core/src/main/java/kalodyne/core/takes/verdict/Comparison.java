package kalodyne.core.takes.verdict;

/**
 * One measure of a take beside its prediction, worded.
 *
 * @param what "loudest peak, dBFS"
 * @param predicted from the run, or "–"
 * @param measured in the take
 * @param aim where it should lie, or "–"
 * @param outside whether the measured value misses the aim
 */
public record Comparison(String what, String predicted, String measured, String aim, boolean outside) {}
