package kalodyne.core.studio;

/**
 * An item and its place in the list that it stands in.
 *
 * @param item what
 * @param place lower comes first; of no meaning beside other lists
 */
public record Placed(Item item, double place) {}
