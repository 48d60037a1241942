package kalodyne.desktop.edit;

/**
 * A change of the whole document.
 *
 * @param description for the menu: "turn the gain"
 * @param before the document as it was
 * @param after the document as it became; never equal to before
 * @param <T> the kind of document, immutable
 */
record Edit<T>(String description, T before, T after) {}
