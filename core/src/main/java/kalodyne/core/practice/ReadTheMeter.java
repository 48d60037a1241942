package kalodyne.core.practice;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import kalodyne.core.levels.gain.End;
import kalodyne.core.units.Print;

/** The meter says so much after the loudest part; what does one do? */
final class ReadTheMeter {
    static final String TOPIC = "meter";

    private static final String LEAVE = "Leave it as it is";
    private static final String FAR_DOWN = "Turn it down by 10 dB or more, and play the loudest part again";

    /** By strength: how far beside the aim the peak lies. */
    private static final double[] BESIDE_DB = {14, 10, 7, 5, 4};

    private final End aim;

    ReadTheMeter(End aim) {
        this.aim = aim;
    }

    Exercise make(int strength, long number) {
        Random random = Draw.from(number);
        return switch (random.nextInt(4)) {
            case 0 -> full(number, strength, random);
            case 1 -> inside(number, strength, random);
            default -> beside(number, strength, random);
        };
    }

    /** How far it was over nobody knows. */
    private Exercise full(long number, int strength, Random random) {
        return ask(
                number,
                strength,
                "0.0 dBFS, and the clip light came on",
                FAR_DOWN,
                List.of(LEAVE, "Turn it down by 0.1 dB, just under 0", "Turn it up"),
                "At full scale tops are cut off, and how far they would have gone cannot be read: go well down, then come back up.",
                random);
    }

    private Exercise inside(long number, int strength, Random random) {
        double peak = Math.rint(10 * (aim.low() + random.nextDouble() * (aim.high() - aim.low()))) / 10;
        return ask(
                number,
                strength,
                reading(peak),
                LEAVE,
                List.of(FAR_DOWN, turn(-peak), turn(aim.middle() - 12 - peak)),
                "It lies in the aim, " + Print.plain(aim.low()) + "…" + Print.plain(aim.high())
                        + " dBFS. Turning it up to 0 leaves no room for a louder note; at 24 bits nothing is gained by it.",
                random);
    }

    private Exercise beside(long number, int strength, Random random) {
        boolean isHot = aim.high() + 1.5 < 0 && random.nextBoolean();
        double room = -0.5 - aim.high();
        double beside = BESIDE_DB[strength - 1];
        double peak = Math.rint(10 * (isHot ? aim.high() + Math.min(room, beside) : aim.low() - beside)) / 10;
        double needed = aim.middle() - peak;
        return ask(
                number,
                strength,
                reading(peak),
                turn(needed),
                List.of(LEAVE, turn(-needed), turn(needed + (isHot ? -12 : 12))),
                "The middle of the aim is " + Print.decimal(aim.middle(), 0) + " dBFS: from " + Print.decimal(peak, 1)
                        + " that is " + Print.decimal(Math.abs(needed), 0) + " dB " + (isHot ? "down." : "up."),
                random);
    }

    private static String reading(double peak) {
        return Print.decimal(peak, 1) + " dBFS";
    }

    private static String turn(double db) {
        return "Turn it " + (db < 0 ? "down" : "up") + " by " + Print.decimal(Math.abs(db), 0) + " dB";
    }

    private Exercise ask(
            long number, int strength, String read, String right, List<String> wrong, String why, Random random) {
        List<String> choices = new ArrayList<>(wrong);
        Collections.shuffle(choices, random);
        choices.add(random.nextInt(choices.size() + 1), right);
        return new Exercise(
                TOPIC,
                number,
                strength,
                "The loudest part was played, and the recorder's peak meter stands at " + read + ". The aim is "
                        + Print.plain(aim.low()) + "…" + Print.plain(aim.high())
                        + " dBFS. What do you do with the gain?",
                choices,
                choices.indexOf(right),
                why,
                "",
                Optional.empty(),
                Optional.empty());
    }
}
