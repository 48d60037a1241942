package kalodyne.core.levels;

import java.util.List;
import java.util.Optional;
import kalodyne.core.run.Converter;
import kalodyne.core.run.Input;
import kalodyne.core.run.Run;
import kalodyne.core.run.Source;
import kalodyne.core.run.Station;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Level;

/**
 * A step of the signal along a run: what it does, what it adds, what it bears.
 *
 * @param label as shown under it
 * @param part the station it belongs to
 * @param gain from the stage before to this one
 * @param ceiling the level here that clips; empty where nothing can
 * @param noise that it adds, as a level here
 */
public record Stage(String label, Station.Part part, Gain gain, Optional<Level> ceiling, Level noise) {

    /** The stages of a run in the order of the signal. The last one is the track. */
    static List<Stage> of(Run run) {
        return List.of(
                source(run.source()), joint(run), socket(run.input()), gain(run.input()), track(run.converter()));
    }

    private static Stage source(Source source) {
        Gain volume = source.volume().map(control -> control.gain()).orElse(Gain.NONE);
        return new Stage(
                source.name(),
                Station.Part.SOURCE,
                volume,
                Optional.of(source.ceiling()),
                source.levels().floor().plus(volume));
    }

    private static Stage joint(Run run) {
        Impedance upstream = run.source().impedance().inSeriesWith(run.lead().resistance());
        return new Stage(
                run.lead().name(),
                Station.Part.LEAD,
                upstream.intoLoad(run.input().impedance()),
                Optional.empty(),
                Level.SILENCE);
    }

    private static Stage socket(Input input) {
        return new Stage(input.socket(), Station.Part.INPUT, Gain.NONE, input.socketCeiling(), Level.SILENCE);
    }

    private static Stage gain(Input input) {
        return new Stage(
                input.device() + " " + input.gain().name(),
                Station.Part.INPUT,
                input.gain().gain(),
                Optional.of(input.ceiling()),
                input.noiseBehindGain());
    }

    private static Stage track(Converter converter) {
        return new Stage(
                converter.track(),
                Station.Part.TRACK,
                Gain.NONE,
                Optional.of(converter.fullScale()),
                converter.totalNoise());
    }
}
