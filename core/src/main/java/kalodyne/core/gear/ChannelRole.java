package kalodyne.core.gear;

import java.util.Optional;

/** What channels of a digital socket are for, whatever words stand beside them. */
public enum ChannelRole implements Coded {
    /** One channel for each input, as it comes behind its own gain. */
    INPUTS("inputs"),
    MIX("mix"),
    MIX_WITH_VOICE("mix with voice"),
    MIX_WITHOUT_VOICE("mix without voice"),
    /** Each channel of a mixer as it is before its fader. */
    BEFORE_FADERS("before faders"),
    /** The mode of a device that sends each input apart instead of the mix. */
    MULTITRACK("multitrack"),
    /** What it sounds by itself, or records by itself. */
    OWN_SOUND("own sound"),
    PLAYBACK("playback"),
    NOTES("notes");

    private final String word;

    ChannelRole(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }

    public boolean isMix() {
        return this == MIX || this == MIX_WITH_VOICE || this == MIX_WITHOUT_VOICE;
    }

    /** The role of channels that were described before roles were kept: by the words that stood for it then. */
    public static ChannelRole ofWords(Direction way, String carries) {
        Optional<ChannelRole> told = carries.contains("before its fader")
                ? Optional.of(BEFORE_FADERS)
                : carries.contains("multitrack")
                        ? Optional.of(MULTITRACK)
                        : carries.contains("mix without")
                                ? Optional.of(MIX_WITHOUT_VOICE)
                                : carries.contains("mix with ")
                                        ? Optional.of(MIX_WITH_VOICE)
                                        : carries.contains("notes") ? Optional.of(NOTES) : Optional.empty();
        return told.orElseGet(() -> way == Direction.IN ? PLAYBACK : carries.contains("mix") ? MIX : INPUTS);
    }
}
