/** What is printed: pages of text and lines in black and white, on A4 and on Letter. Sizes are in points, 72 to the inch. */
package kalodyne.core.paper;
