package kalodyne.core.joint;

/**
 * Where a switch of a device stands.
 *
 * @param control which switch of which device
 * @param at the name of its position, as printed beside it: "off"
 */
public record Switched(Spot control, String at) {}
