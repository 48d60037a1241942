/** What a rig does to a sound, as a sound: through every joint, stage and control, to a track or to ears. */
package kalodyne.core.hearing;
