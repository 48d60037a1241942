/**
 * A setup as a flow of levels: what is plugged, what is inside the gear, how its controls stand, and where it is recorded and
 * heard. What the gear does not tell is common practice, and said to be.
 */
package kalodyne.core.levels.rig;
