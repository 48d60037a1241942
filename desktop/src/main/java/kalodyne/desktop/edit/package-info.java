/** Edits that can be undone, and keeping what was edited. Knows no screen. */
package kalodyne.desktop.edit;
