package kalodyne.core.runsheet;

import kalodyne.core.gear.Coded;

/** Under which heading a step stands. Where no reason says otherwise, steps come in this order. */
public enum Section implements Coded {
    BEFORE("Before anything is plugged", "first what can run out"),
    QUIET("Everything off and down", "now everything goes off and down"),
    PLUG("Plug, with everything down", "nothing is loud while you plug"),
    POWER("Power, in order", "everything is plugged, nothing is on yet"),
    PHANTOM("Phantom power", "everything has power, nothing is loud yet"),
    RECORDER("On the recorder", "everything has power, nothing is loud yet"),
    SPEAKERS("Speakers, last of all", "all that thumps is on: now the speakers"),
    LEVELS("Levels, from nothing upwards", "all is on: now the levels come up"),
    TEST("Test take", "the levels stand: make a test take"),
    TAKE("The take", "the test take is clean: now the real one"),
    AFTER("Afterwards", "the take is made: see that it stays"),
    DOWN("Taking down", "speakers first, leads last");

    private final String word;
    private final String standing;

    Section(String word, String standing) {
        this.word = word;
        this.standing = standing;
    }

    /** What is the case while its first step is the next one. */
    public String standing() {
        return standing;
    }

    @Override
    public String word() {
        return word;
    }
}
