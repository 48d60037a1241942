package kalodyne.core.levels;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.Feed;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.levels.gain.Sound;
import kalodyne.core.levels.run.Converter;
import kalodyne.core.levels.run.Input;
import kalodyne.core.levels.run.Run;
import kalodyne.core.levels.run.Source;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Level;
import kalodyne.core.units.Print;
import kalodyne.core.units.SignalLevels;

/** A run that was described by its numbers, without gear on the shelf, as a flow: source, socket, gain, track. */
final class DescribedFlow {
    private static final int SOURCE = 0;
    private static final int SOCKET = 1;
    private static final int GAIN = 2;
    private static final int TRACK = 3;

    private DescribedFlow() {}

    static Flow of(Run run) {
        List<Knob> knobs = new ArrayList<>();
        run.source()
                .volume()
                .ifPresent(volume ->
                        knobs.add(new Knob(Run.VOLUME, run.source().name(), ControlKind.VOLUME, volume, false)));
        knobs.add(new Knob(
                Run.GAIN, run.input().device(), ControlKind.GAIN, run.input().gain(), false));
        return new Flow(
                List.of(source(run.source()), socket(run), gain(run.input(), knobs.size() - 1), track(run)),
                knobs,
                List.of(end(run)));
    }

    static Trace trace(Run run) {
        Converter converter = run.converter();
        String rate = Print.plain(converter.sampleRateHz() / 1000.0);
        List<Station> stations = List.of(
                new Station(
                        0,
                        Station.Kind.DEVICE,
                        run.source().name(),
                        run.source().socket()),
                new Station(
                        1,
                        Station.Kind.JOINT,
                        run.lead().name(),
                        run.lead().plugs() + ", " + run.lead().length()),
                new Station(
                        2,
                        Station.Kind.DEVICE,
                        run.input().device(),
                        run.input().socket()),
                new Station(3, Station.Kind.END, converter.track(), converter.bits() + "-bit, " + rate + " kHz"));
        return new Trace(
                run.name(),
                run.name(),
                new Flow.Run(SOURCE, 0, List.of(SOURCE, SOCKET, GAIN, TRACK)),
                stations,
                List.of(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty()),
                List.of(0, 2, 2, 3),
                run.input().socket(),
                OptionalInt.of(converter.sampleRateHz()),
                Optional.of(run));
    }

    private static Point source(Source source) {
        Sound sound = Sound.played(
                source.name(),
                new SignalLevels(
                        source.levels().peak(),
                        source.levels().average(),
                        source.levels().floor()),
                Gain.NONE);
        return new Point(
                "source",
                source.name(),
                source.name(),
                Optional.of(sound),
                List.of(),
                source.volume().isPresent() ? OptionalInt.of(0) : OptionalInt.empty(),
                Gain.NONE,
                Optional.of(source.ceiling()),
                Level.SILENCE,
                Level.SILENCE);
    }

    private static Point socket(Run run) {
        Impedance upstream = run.source().impedance().inSeriesWith(run.lead().resistance());
        Gain joint = upstream.intoLoad(run.input().impedance());
        return new Point(
                "socket",
                run.input().device(),
                run.input().socket(),
                Optional.empty(),
                List.of(Feed.of(SOURCE, joint.db())),
                OptionalInt.empty(),
                Gain.NONE,
                run.input().socketCeiling(),
                Level.SILENCE,
                Level.SILENCE);
    }

    private static Point gain(Input input, int knob) {
        return new Point(
                "input",
                input.device(),
                input.device() + " " + input.gain().name(),
                Optional.empty(),
                List.of(Feed.of(SOCKET, 0)),
                OptionalInt.of(knob),
                Gain.NONE,
                Optional.of(input.ceiling()),
                input.equivalentInputNoise(),
                input.outputNoise());
    }

    private static Point track(Run run) {
        Converter converter = run.converter();
        return new Point(
                "track",
                run.input().device(),
                converter.track(),
                Optional.empty(),
                List.of(Feed.of(GAIN, 0)),
                OptionalInt.empty(),
                Gain.NONE,
                Optional.of(converter.fullScale()),
                Level.SILENCE,
                converter.totalNoise());
    }

    private static End end(Run run) {
        Converter converter = run.converter();
        return new End(
                TRACK,
                converter.track(),
                OptionalInt.empty(),
                End.Kind.TRACK,
                converter.fullScale(),
                run.aim().low().dbfs(),
                run.aim().high().dbfs(),
                End.Line.PEAK,
                OptionalInt.of(converter.bits()));
    }
}
