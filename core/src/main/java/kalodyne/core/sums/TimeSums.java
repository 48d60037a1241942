package kalodyne.core.sums;

import java.time.Duration;
import java.util.List;
import kalodyne.core.sums.Sum.Answer;
import kalodyne.core.sums.Sum.Group;
import kalodyne.core.units.Length;
import kalodyne.core.units.Print;
import kalodyne.core.units.Quantity;

/** Time, storage, tempo, clocks, and how long a lead must be. */
final class TimeSums {
    private static final double GIGA = 1e9;
    private static final double MILLI = 1000;

    static final List<Sum> ALL = List.of(storage(), latency(), loopBack(), delay(), clock(), tempo(), drift(), cable());

    private TimeSums() {}

    private static Field<Double> rate() {
        return Field.number("rate", "Sample rate", "Hz", 4000, 1_000_000, "48000");
    }

    private static Sum storage() {
        Field<Double> rate = rate();
        Field<Integer> bits = Field.whole("bits", "Bits", "", 8, 64, "24");
        Field<Integer> tracks = Field.whole("tracks", "Tracks", "", 1, 512, "2");
        Field<Double> minutes = Field.number("minutes", "Length", "min", 0.1, 100_000, "60");
        Field<Double> free = Field.number("free", "Free space", "GB", 0, 1e6, "32");
        return new Sum(
                "storage",
                Group.TIME,
                "How long does the disk or card last?",
                List.of(rate, bits, tracks, minutes, free),
                given -> {
                    RecordingFormat format =
                            new RecordingFormat((int) Math.round(given.of(rate)), given.of(bits), given.of(tracks));
                    Duration length = Duration.ofMillis(Math.round(given.of(minutes) * 60_000));
                    long bytes = format.stored().bytes(length);
                    return List.of(
                            new Answer("This length takes", Spans.bytes(bytes)),
                            new Answer(
                                    "The free space lasts",
                                    Spans.words(format.stored().lasting(Math.round(given.of(free) * GIGA)))),
                            new Answer(
                                    "A plain WAV file ends at",
                                    Spans.words(format.stored().lasting(RecordingFormat.MOST_OF_PLAIN_WAV))
                                            + " (4 GB)"));
                },
                "Sample rate · bytes a sample · tracks; GB are 10⁹ bytes");
    }

    private static Sum latency() {
        Field<Integer> frames = Field.whole("frames", "Buffer", "frames", 1, 1_000_000, "128");
        Field<Double> rate = rate();
        Field<Double> rest = Field.number("rest", "Converters and driver", "ms", 0, 1000, "3");
        return new Sum(
                "latency",
                Group.TIME,
                "How late do you hear yourself?",
                List.of(frames, rate, rest),
                given -> {
                    Latency late = new Latency(given.of(frames), given.of(rate), given.of(rest));
                    double round = late.roundTripMilliseconds();
                    return List.of(
                            new Answer("One buffer", Print.decimal(late.bufferMilliseconds(), 2) + " ms"),
                            new Answer("Through the computer, in and out", Print.decimal(round, 1) + " ms"),
                            new Answer(
                                    "As from a loudspeaker", Print.decimal(Latency.metresOfAir(round), 1) + " m away"),
                            new Answer("Direct monitoring", "under 1 ms: it does not go through the computer"),
                            new Answer(
                                    "Advice",
                                    round > Latency.FELT_MILLISECONDS
                                            ? "players feel it: monitor directly, or take a smaller buffer"
                                            : "most players do not feel it (common practice)"));
                },
                "A buffer in and a buffer out; sound goes 343 m/s");
    }

    private static Sum loopBack() {
        Field<Double> sent = Field.number("sent", "The click was played at", "s", 0, 100_000, "1.0000");
        Field<Double> back = Field.number("back", "It came back at", "s", 0, 100_000, "1.0120");
        Field<Integer> frames = Field.whole("frames", "Buffer", "frames", 1, 1_000_000, "128");
        Field<Double> rate = rate();
        return new Sum(
                "loop-back",
                Group.TIME,
                "What does a loop-back take show?",
                List.of(sent, back, frames, rate),
                given -> {
                    double seconds = given.of(back) - given.of(sent);
                    if (!(seconds > 0)) {
                        throw new IllegalArgumentException("it must come back after it was played");
                    }
                    double buffers = 2 * new Latency(given.of(frames), given.of(rate), 0).bufferMilliseconds();
                    return List.of(
                            new Answer("Round trip", Print.decimal(MILLI * seconds, 2) + " ms"),
                            new Answer("In samples", Print.count(Math.round(seconds * given.of(rate)))),
                            new Answer(
                                    "Not from the buffers",
                                    Print.decimal(MILLI * seconds - buffers, 2) + " ms: converters and driver"));
                },
                "Play a click out of one output, take it into one input, record it");
    }

    private static Sum delay() {
        Field<Double> time = Field.number("time", "Delay", "ms", 0, 1e6, "10");
        Field<Double> rate = rate();
        return new Sum(
                "delay",
                Group.TIME,
                "How many samples, how far?",
                List.of(time, rate),
                given -> List.of(
                        new Answer("Samples", Print.decimal(given.of(time) / MILLI * given.of(rate), 1)),
                        new Answer("In air", Print.decimal(Latency.metresOfAir(given.of(time)), 2) + " m")),
                "Sound goes 343 m/s at 20 °C");
    }

    private static Sum clock() {
        Field<Double> tempo = Field.number("tempo", "Beats a minute", "", 10, 1000, "120");
        Field<Double> rate = rate();
        return new Sum(
                "midi-clock",
                Group.TEMPO,
                "How fast does a MIDI clock tick?",
                List.of(tempo, rate),
                given -> {
                    double beat = Clocks.secondsOfBeat(given.of(tempo));
                    double pulse = Clocks.secondsOfPulse(given.of(tempo));
                    return List.of(
                            new Answer("A beat (quarter note)", Print.decimal(MILLI * beat, 2) + " ms"),
                            new Answer("A pulse, 24 a quarter", Print.decimal(MILLI * pulse, 3) + " ms"),
                            new Answer("Pulses a second", Print.decimal(1 / pulse, 2)),
                            new Answer("Samples a beat", Print.decimal(beat * given.of(rate), 1)));
                },
                "MIDI 1.0: 24 timing clocks a quarter note");
    }

    private static Sum tempo() {
        Field<Double> beats = Field.number("beats", "Beats counted", "", 1, 1e6, "128");
        Field<Double> seconds = Field.number("seconds", "They took", "s", 0.01, 1e6, "64.003");
        Field<Double> nominal = Field.number("nominal", "The clock says", "beats a minute", 10, 1000, "120");
        return new Sum(
                "tempo",
                Group.TEMPO,
                "Does a take keep the clock's tempo?",
                List.of(beats, seconds, nominal),
                given -> {
                    double is = Clocks.beatsPerMinute(given.of(beats), given.of(seconds));
                    double ppm = Clocks.driftPpm(is, given.of(nominal));
                    double late = given.of(seconds) - given.of(beats) * Clocks.secondsOfBeat(given.of(nominal));
                    return List.of(
                            new Answer("Tempo", Print.decimal(is, 3) + " beats a minute"),
                            new Answer("Against the clock", Print.signed(ppm, 0) + " ppm"),
                            new Answer(
                                    "At its end",
                                    Print.decimal(Math.abs(MILLI * late), 1) + " ms "
                                            + (late >= 0 ? "late" : "early")));
                },
                "From the first beat to the start of the one after the last");
    }

    private static Sum drift() {
        Field<Double> ppm = Field.number("ppm", "Drift", "ppm", -100_000, 100_000, "35");
        Field<Double> minutes = Field.number("minutes", "Length", "min", 0.1, 100_000, "60");
        return new Sum(
                "drift",
                Group.TEMPO,
                "How far do two clocks drift apart?",
                List.of(ppm, minutes),
                given -> List.of(
                        new Answer(
                                "An hour",
                                Print.decimal(Math.abs(Clocks.millisecondsAnHour(given.of(ppm))), 1) + " ms"),
                        new Answer(
                                "This length",
                                Print.decimal(
                                                Math.abs(Clocks.millisecondsAnHour(given.of(ppm)))
                                                        * given.of(minutes)
                                                        / 60,
                                                1)
                                        + " ms"),
                        new Answer("Speed of the copy", Print.decimal(100 + given.of(ppm) / 10_000, 4) + " %")),
                "Parts per million; heard as an echo from about 20 ms on (common practice)");
    }

    private static Sum cable() {
        Field<Length> along = Field.of("along", "Along one wall", Quantity.LENGTH, "3 m");
        Field<Length> across = Field.of("across", "Along the other", Quantity.LENGTH, "1 m");
        Field<Length> down = Field.of("down", "Down to the floor", Quantity.LENGTH, "0.8 m");
        Field<Length> up = Field.of("up", "Up again", Quantity.LENGTH, "0.8 m");
        return new Sum(
                "cable",
                Group.LEADS,
                "How long must a lead be?",
                List.of(along, across, down, up),
                given -> {
                    CableLength length = new CableLength(
                            given.of(along).metres(),
                            given.of(across).metres(),
                            given.of(down).metres(),
                            given.of(up).metres());
                    return List.of(
                            new Answer("At least", Print.decimal(length.metres(), 1) + " m"),
                            new Answer(
                                    "Take",
                                    length.usual()
                                            .map(metres -> Print.plain(metres) + " m")
                                            .orElse("two leads, balanced ones")),
                            new Answer(
                                    "Unbalanced",
                                    length.metres() > 3
                                            ? "longer than 3 m: balanced is better"
                                            : "will do, up to 3 m"));
                },
                "Round the room, not through it; 15 % to spare (common practice)");
    }
}
