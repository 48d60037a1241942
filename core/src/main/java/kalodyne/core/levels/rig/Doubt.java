package kalodyne.core.levels.rig;

import kalodyne.core.joint.Spot;

/**
 * Something that is not known, or that contradicts itself, and what was taken instead.
 *
 * @param at the device and its part
 * @param words in a sentence: what is not known and what was taken
 * @param isContradiction whether two values cannot both be right
 */
public record Doubt(Spot at, String words, boolean isContradiction) {}
