package kalodyne.core.runsheet;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
 * @param roundTripMilliseconds from an input through the computer to an output, as a loop-back take measured it
 * @param standings where devices stand, by their marks, as far as that is known
 * @param film mark of the camera or phone that films it, plugged or not
 */
@RecordBuilder
public record SessionPlan(
        int minutes,
        OptionalInt sampleRateHz,
        OptionalInt bits,
        OptionalDouble beatsPerMinute,
        Map<String, Long> freeBytes,
        Map<String, PowerSource> powering,
        List<Pass> passes,
        OptionalDouble roundTripMilliseconds,
        Map<String, Standing> standings,
        Optional<String> film)
        implements SessionPlanBuilder.With {
    public static final int MOST_MINUTES = 1440;
    private static final int USUAL_MINUTES = 30;

    public static final SessionPlan USUAL = new SessionPlan(
            USUAL_MINUTES,
            OptionalInt.empty(),
            OptionalInt.empty(),
            OptionalDouble.empty(),
            Map.of(),
            Map.of(),
            List.of(),
            OptionalDouble.empty(),
            Map.of(),
            Optional.empty());

    public SessionPlan {
        if (minutes < 1 || minutes > MOST_MINUTES) {
            throw new IllegalArgumentException("a recording is 1 to " + MOST_MINUTES + " minutes long, got " + minutes);
        }
        freeBytes = Map.copyOf(freeBytes);
        powering = Map.copyOf(powering);
        passes = List.copyOf(passes);
        standings = Map.copyOf(standings);
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
    public SessionPlan renamed(UnaryOperator<String> anew) {
        return new SessionPlan(
                minutes,
                sampleRateHz,
                bits,
                beatsPerMinute,
                renamed(freeBytes, anew),
                renamed(powering, anew),
                passes.stream()
                        .map(pass -> new Pass(anew.apply(pass.source()), pass.part()))
                        .toList(),
                roundTripMilliseconds,
                renamed(standings, anew),
                film.map(anew));
    }

    private static <T> Map<String, T> renamed(Map<String, T> byMark, UnaryOperator<String> anew) {
        Map<String, T> all = new LinkedHashMap<>();
        byMark.forEach((mark, each) -> all.put(anew.apply(mark), each));
        return all;
    }

    /** With one more in the place of what was there; without it where empty. */
    private static <T> Map<String, T> with(Map<String, T> byMark, String mark, Optional<T> each) {
        Map<String, T> all = new LinkedHashMap<>(byMark);
        all.remove(mark);
        each.ifPresent(present -> all.put(mark, present));
        return all;
    }

    public SessionPlan withFormat(OptionalInt newSampleRateHz, OptionalInt newBits) {
        return with().sampleRateHz(newSampleRateHz).bits(newBits).build();
    }

    public SessionPlan withFree(String recorder, Optional<Long> bytes) {
        return withFreeBytes(with(freeBytes, recorder, bytes));
    }

    /** On the usual where empty. */
    public SessionPlan withPowering(String device, Optional<PowerSource> source) {
        return withPowering(with(powering, device, source));
    }

    public SessionPlan withRoundTrip(OptionalDouble milliseconds) {
        return withRoundTripMilliseconds(milliseconds);
    }

    public SessionPlan withStanding(String device, Optional<Standing> standing) {
        return withStandings(with(standings, device, standing));
    }
}
