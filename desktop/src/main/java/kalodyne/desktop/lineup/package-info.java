/** The Line-up room: two recordings that belong together. */
package kalodyne.desktop.lineup;
