package kalodyne.core.runsheet;

import kalodyne.core.gear.Coded;

/** Under which heading a step stands. Where no reason says otherwise, steps come in this order. */
public enum Section implements Coded {
    BEFORE("Before anything is plugged"),
    QUIET("Everything off and down"),
    PLUG("Plug, with everything down"),
    POWER("Power, in order"),
    PHANTOM("Phantom power"),
    RECORDER("On the recorder"),
    SPEAKERS("Speakers, last of all"),
    LEVELS("Levels, from nothing upwards"),
    TEST("Test take"),
    TAKE("The take"),
    AFTER("Afterwards"),
    DOWN("Taking down");

    private final String word;

    Section(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
