package kalodyne.core.studio.setup;

/**
 * A setup as it travels alone, with the name of the studio that it is from.
 *
 * @param studio "The Boathouse"
 * @param setup one way of connecting it
 */
public record SetupFile(String studio, Setup setup) {}
