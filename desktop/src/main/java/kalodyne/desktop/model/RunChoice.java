package kalodyne.desktop.model;

/**
 * A run that can be looked at.
 *
 * @param key under which it is known
 * @param name as it is shown
 * @param isRecorded whether it ends in a track; otherwise at the ears
 */
public record RunChoice(String key, String name, boolean isRecorded) {}
