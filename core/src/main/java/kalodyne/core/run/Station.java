package kalodyne.core.run;

import java.util.List;
import kalodyne.core.units.Print;

/**
 * A part of a run as people point at it, in the order of the signal.
 *
 * @param part which part of the run it is
 * @param name "Interface"
 * @param detail "line socket 3"
 */
public record Station(Part part, String name, String detail) {
    /** The parts of a run, in the order of the signal. */
    public enum Part {
        SOURCE(0),
        LEAD(1),
        INPUT(2),
        TRACK(3);

        private final int index;

        Part(int index) {
            this.index = index;
        }

        /** The part at an index along the run. */
        public static Part at(int index) {
            return values()[index];
        }

        /** The station's index along the run, 0 at the source. */
        public int index() {
            return index;
        }
    }

    /** The stations of a run, by index. */
    public static List<Station> of(Run run) {
        Converter converter = run.converter();
        return List.of(
                new Station(Part.SOURCE, run.source().name(), run.source().socket()),
                new Station(
                        Part.LEAD,
                        run.lead().name(),
                        run.lead().plugs() + ", " + run.lead().length()),
                new Station(Part.INPUT, run.input().device(), run.input().socket()),
                new Station(
                        Part.TRACK,
                        converter.track(),
                        converter.bits() + "-bit, " + Print.plain(converter.sampleRateHz() / 1000.0) + " kHz"));
    }
}
