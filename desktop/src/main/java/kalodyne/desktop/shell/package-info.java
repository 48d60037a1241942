/** The window round the rooms: what stands above, beside and below them. */
package kalodyne.desktop.shell;
