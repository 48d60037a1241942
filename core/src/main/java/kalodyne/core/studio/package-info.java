/**
 * All that somebody owns and how it is connected, as one file that keeps every edit as it is made, with its past.
 *
 * <p>{@link kalodyne.core.studio.StudioFile} opens it; {@link kalodyne.core.studio.History} is what is edited.
 */
package kalodyne.core.studio;
