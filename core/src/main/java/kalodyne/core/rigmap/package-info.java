/** A setup as a picture: which cards and lines there are, and where they lie. Knows neither paper nor screen. */
package kalodyne.core.rigmap;
