package kalodyne.desktop.model;

/**
 * Something that went wrong outside of the musician's setup, such as a file that cannot be read.
 *
 * @param title what happened
 * @param text what it means and what to do
 */
public record Notice(String title, String text) {}
