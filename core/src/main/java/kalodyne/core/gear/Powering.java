package kalodyne.core.gear;

/**
 * One way of powering a device.
 *
 * @param source what it then runs on
 * @param facts {@link Fact.Of#POWERING}
 */
public record Powering(PowerSource source, Facts facts) {}
