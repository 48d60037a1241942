/** The Shelf room: gear and leads, entered from profiles, searched, corrected in place. */
package kalodyne.desktop.shelf;
