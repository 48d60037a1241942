/**
 * Sound files as streams of samples, read and written in constant memory. Full scale is 1; the lowest integer of a file
 * is −1 exactly, the highest one step less than 1.
 */
package kalodyne.core.sound;
