package kalodyne.core.lineup.tidy;

/**
 * What is kept of a recording.
 *
 * @param name of a song; empty where there is one stretch only
 */
record KeptStretch(String name, double fromSeconds, double toSeconds) {
    double seconds() {
        return toSeconds - fromSeconds;
    }
}
