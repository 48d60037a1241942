package kalodyne.core.runsheet;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.UnaryOperator;
import kalodyne.core.gear.Names;
import kalodyne.core.gear.PowerSource;

/**
 * What is to be done with a setup, as far as its owner said.
 *
 * @param minutes of sound that are to be recorded in all, 1 to 1440
 * @param sampleRateHz to record with; empty for the usual one
 * @param bits to record with; empty for the usual ones
 * @param beatsPerMinute of what is played in tempo
 * @param freeBytes free space by the mark of the recorder, where it is known
 * @param powering by the mark of the device: on what it is to run, where that is not the usual
 * @param passes takes one after the other of one source: the parts of a drum machine
 */
public record Intention(
        int minutes,
        OptionalInt sampleRateHz,
        OptionalInt bits,
        OptionalDouble beatsPerMinute,
        Map<String, Long> freeBytes,
        Map<String, PowerSource> powering,
        List<Pass> passes) {
    public static final int MOST_MINUTES = 1440;
    private static final int USUAL_MINUTES = 30;

    public static final Intention USUAL = new Intention(
            USUAL_MINUTES,
            OptionalInt.empty(),
            OptionalInt.empty(),
            OptionalDouble.empty(),
            Map.of(),
            Map.of(),
            List.of());

    public Intention {
        if (minutes < 1 || minutes > MOST_MINUTES) {
            throw new IllegalArgumentException("a recording is 1 to " + MOST_MINUTES + " minutes long, got " + minutes);
        }
        freeBytes = Map.copyOf(freeBytes);
        powering = Map.copyOf(powering);
        passes = List.copyOf(passes);
    }

    /**
     * One of several takes of one source.
     *
     * @param source mark of the device
     * @param part what is played: "Bass"
     */
    public record Pass(String source, String part) {
        public Pass {
            part = Names.checked(part);
        }
    }

    /** The same with the marks of gear changed. */
    public Intention renamed(UnaryOperator<String> anew) {
        Map<String, Long> free = new LinkedHashMap<>();
        freeBytes.forEach((id, bytes) -> free.put(anew.apply(id), bytes));
        Map<String, PowerSource> sources = new LinkedHashMap<>();
        powering.forEach((id, source) -> sources.put(anew.apply(id), source));
        return new Intention(
                minutes,
                sampleRateHz,
                bits,
                beatsPerMinute,
                free,
                sources,
                passes.stream()
                        .map(pass -> new Pass(anew.apply(pass.source()), pass.part()))
                        .toList());
    }

    public Intention withMinutes(int newMinutes) {
        return new Intention(newMinutes, sampleRateHz, bits, beatsPerMinute, freeBytes, powering, passes);
    }

    public Intention withFormat(OptionalInt newSampleRateHz, OptionalInt newBits) {
        return new Intention(minutes, newSampleRateHz, newBits, beatsPerMinute, freeBytes, powering, passes);
    }

    public Intention withBeatsPerMinute(OptionalDouble newBeats) {
        return new Intention(minutes, sampleRateHz, bits, newBeats, freeBytes, powering, passes);
    }

    public Intention withFree(String recorder, long bytes) {
        Map<String, Long> all = new LinkedHashMap<>(freeBytes);
        all.put(recorder, bytes);
        return new Intention(minutes, sampleRateHz, bits, beatsPerMinute, all, powering, passes);
    }

    public Intention withPowering(String device, PowerSource source) {
        Map<String, PowerSource> all = new LinkedHashMap<>(powering);
        all.put(device, source);
        return new Intention(minutes, sampleRateHz, bits, beatsPerMinute, freeBytes, all, passes);
    }

    public Intention withPasses(List<Pass> newPasses) {
        return new Intention(minutes, sampleRateHz, bits, beatsPerMinute, freeBytes, powering, newPasses);
    }
}
