package kalodyne.core.takes.causes;

/**
 * A cause with its chance.
 *
 * @param cause what it is
 * @param chance from 0 to 1; those of all suspects add up to 1
 */
public record Suspect(Cause cause, double chance) {}
