package kalodyne.core.gear;

/**
 * Something known about a piece of gear, and where that is from.
 *
 * @param is the quantity
 * @param from its provenance
 * @param <T> the record of its quantity
 */
public record Value<T>(T is, Provenance from) {}
