/** What is heard, and how: the bar that all rooms share. */
package kalodyne.desktop.hearing;
