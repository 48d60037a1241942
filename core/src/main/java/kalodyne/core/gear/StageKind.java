package kalodyne.core.gear;

/** What a stage does. */
public enum StageKind implements Coded {
    AMPLIFIER("amplifier"),
    BUS("bus"),
    TO_DIGITAL("to digital"),
    TO_ANALOGUE("to analogue"),
    RIAA("RIAA equaliser"),
    CROSSOVER("crossover"),
    TRANSFORMER("transformer"),
    RESISTORS("resistors");

    private final String word;

    StageKind(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
