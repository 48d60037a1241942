package kalodyne.core.runsheet;

import kalodyne.core.gear.Coded;

/** What may be noticed in a step instead of what should be. */
public enum Symptom implements Coded {
    NO_SIGNAL("No signal"),
    ONE_SIDE("One side only"),
    TOO_LOUD("Too loud"),
    TOO_QUIET("Too quiet"),
    HUM("It hums"),
    HOWL("It howls"),
    LAMP_BLINKS("Its lamp blinks"),
    NOT_LISTED("Not in the list"),
    DOES_NOT_FIT("It does not fit");

    private final String word;

    Symptom(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
