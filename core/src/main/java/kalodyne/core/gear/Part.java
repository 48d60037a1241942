package kalodyne.core.gear;

/**
 * A part of a device or lead that has values, under the mark by which files point at it.
 *
 * @param mark "device", "socket out-left", "socket in-1 power 1", "stage adc-1", "powering 1", "lead", "wire 3"
 * @param label for people: "Output L"
 * @param of what kind of part it is
 * @param facts what is known of it
 */
public record Part(String mark, String label, Fact.Of of, Facts facts) {}
