/** The first start: what one plays, what one records with, which leads there are; then the ways. */
package kalodyne.desktop.start;
