package kalodyne.core.practice;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.Trace;

/** All that can be practised: in an own run where it is clean by itself, else in one that ships. */
public final class Exercises {
    private static final int CLEAN_NUMBER = 1;

    private final FaultMaker own;
    private final FaultMaker shipped;

    private Exercises(FaultMaker own, FaultMaker shipped) {
        this.own = own;
        this.shipped = shipped;
    }

    /**
     * Takes a moment: runs are listened to.
     *
     * @param levels of what is plugged
     * @param shipped of a setup that ships, of which a run is clean
     */
    public static Exercises in(SetupLevels levels, SetupLevels shipped) {
        FaultMaker otherwise = clean(shipped).orElseThrow();
        return new Exercises(clean(levels).orElse(otherwise), otherwise);
    }

    private static Optional<FaultMaker> clean(SetupLevels levels) {
        return levels.traces().stream()
                .filter(levels::isRecorded)
                .map(trace -> advised(levels, trace))
                .filter(maker -> new NameTheFault(maker)
                        .make(Fault.NOTHING, 1, CLEAN_NUMBER)
                        .isPresent())
                .findFirst();
    }

    private static FaultMaker advised(SetupLevels levels, Trace trace) {
        return new FaultMaker(levels.rig(), LevelPlan.of(trace, levels.onceAdvised()));
    }

    /** Under which practising is kept, in the order of the work. */
    public static List<String> topics() {
        return Stream.concat(
                        Fault.all().stream().map(Fault::topic), Stream.of(HowManyDecibels.TOPIC, ReadTheMeter.TOPIC))
                .toList();
    }

    /** What a topic is called: "It hisses". */
    public static String words(String topic) {
        return fault(topic)
                .map(Fault::words)
                .orElse(topic.equals(HowManyDecibels.TOPIC) ? "How many decibels?" : "Read the meter");
    }

    private static Optional<Fault> fault(String topic) {
        return Fault.all().stream().filter(fault -> fault.topic().equals(topic)).findFirst();
    }

    /**
     * An exercise: the same for the same numbers in the same rig.
     *
     * @param strength from 1, which anybody hears or sees, to {@link FaultMaker#SUBTLEST}
     */
    public Exercise make(String topic, int strength, int number) {
        if (topic.equals(ReadTheMeter.TOPIC)) {
            return new ReadTheMeter(own.aim()).make(strength, number);
        }
        if (topic.equals(HowManyDecibels.TOPIC)) {
            return new HowManyDecibels(own).make(strength, number);
        }
        Fault fault = fault(topic).orElseThrow();
        return Stream.of(own, shipped)
                .map(NameTheFault::new)
                .flatMap(naming -> naming.make(fault, strength, number).stream())
                .findFirst()
                .or(() -> new NameTheFault(shipped).make(fault, 1, CLEAN_NUMBER))
                .orElseThrow();
    }
}
