package kalodyne.core.sums;

import java.util.List;
import kalodyne.core.sums.Sum.Answer;
import kalodyne.core.sums.Sum.Group;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Length;
import kalodyne.core.units.Level;
import kalodyne.core.units.MicSensitivity;
import kalodyne.core.units.Print;
import kalodyne.core.units.Quantity;
import kalodyne.core.units.SoundLevel;

/** Sound levels, and what microphones make of them. */
final class SoundSums {
    private static final double DB_SPL_OF_PASCAL = 94;

    static final List<Sum> ALL = List.of(microphone(), distance(), both());

    private SoundSums() {}

    private static Sum microphone() {
        Field<MicSensitivity> sensitivity =
                Field.of("sensitivity", "Sensitivity", Quantity.MIC_SENSITIVITY, "2.2 mV/Pa");
        Field<SoundLevel> sound = Field.of("sound", "Sound", Quantity.SOUND_LEVEL, "94 dB SPL");
        return new Sum(
                "microphone",
                Group.SOUND,
                "What does a microphone give?",
                List.of(sensitivity, sound),
                given -> {
                    Level gives = Level.ofVolts(given.of(sensitivity).voltsPerPascal())
                            .plus(new Gain(given.of(sound).db() - DB_SPL_OF_PASCAL));
                    return List.of(
                            new Answer("Level", gives.toString()),
                            new Answer("Voltage", Print.prefixed(gives.volts(), "V")),
                            new Answer(
                                    "Gain to +4 dBu", new Level(4).above(gives).toString()));
                },
                "1 Pa is 94 dB SPL");
    }

    private static Sum distance() {
        Field<SoundLevel> sound = Field.of("sound", "Sound", Quantity.SOUND_LEVEL, "94 dB SPL");
        Field<Length> near = Field.of("near", "Measured at", Quantity.LENGTH, "1 m");
        Field<Length> far = Field.of("far", "Heard at", Quantity.LENGTH, "3 m");
        return new Sum(
                "distance",
                Group.SOUND,
                "How loud is it farther away?",
                List.of(sound, near, far),
                given -> {
                    double ratio = given.of(near).metres() / given.of(far).metres();
                    if (!(ratio > 0) || Double.isInfinite(ratio)) {
                        throw new IllegalArgumentException("both distances must be more than 0 m");
                    }
                    return List.of(
                            new Answer(
                                    "Sound there",
                                    Print.decimal(
                                                    given.of(sound).db()
                                                            + Gain.ofRatio(ratio)
                                                                    .db(),
                                                    1) + " dB SPL"),
                            new Answer("Difference", Gain.ofRatio(ratio).toString()));
                },
                "6 dB less for twice the distance, in the open; a room adds to it");
    }

    private static Sum both() {
        Field<SoundLevel> one = Field.of("one", "One", Quantity.SOUND_LEVEL, "80 dB SPL");
        Field<SoundLevel> other = Field.of("other", "The other", Quantity.SOUND_LEVEL, "80 dB SPL");
        return new Sum(
                "sounds",
                Group.SOUND,
                "How loud are two sounds together?",
                List.of(one, other),
                given -> {
                    double difference =
                            Math.abs(given.of(one).db() - given.of(other).db());
                    double louder = Math.max(given.of(one).db(), given.of(other).db());
                    double power = new Gain(-difference).ratio();
                    double sum = louder + Gain.ofPowerRatio(1 + power * power).db();
                    return List.of(new Answer("Together", Print.decimal(sum, 1) + " dB SPL"));
                },
                "Powers add");
    }
}
