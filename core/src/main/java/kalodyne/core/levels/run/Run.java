package kalodyne.core.levels.run;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.gear.Control;

/**
 * The way of one source to one track: the source, the lead, the input, the converter.
 *
 * @param name "Bass synth → track 3"
 * @param aim where the loudest peak should come to lie
 */
public record Run(String name, Source source, RunLead lead, Input input, Converter converter, Aim aim) {
    /** The name under which the source's own level control is known in a run. */
    public static final String VOLUME = "volume";

    /** The name under which the input's gain control is known in a run. */
    public static final String GAIN = "gain";

    /** The controls in the order of the signal, by the names above. */
    public Map<String, Control> controls() {
        Map<String, Control> controls = new LinkedHashMap<>();
        source.volume().ifPresent(volume -> controls.put(VOLUME, volume));
        controls.put(GAIN, input.gain());
        return controls;
    }

    /** The positions of all controls, by the names above. */
    public Map<String, Double> positions() {
        Map<String, Double> positions = new LinkedHashMap<>();
        controls().forEach((name, control) -> positions.put(name, control.position()));
        return positions;
    }

    /** The same run with some controls turned; names that it does not have are passed over. */
    public Run turned(Map<String, Double> positions) {
        Double volumeAt = positions.get(VOLUME);
        Double gainAt = positions.get(GAIN);
        Optional<Control> volume = source.volume().map(control -> volumeAt == null ? control : control.at(volumeAt));
        return withSource(source.withVolume(volume))
                .withGain(gainAt == null ? input.gain() : input.gain().at(gainAt));
    }

    public Run withSource(Source newSource) {
        return new Run(name, newSource, lead, input, converter, aim);
    }

    public Run withLead(RunLead newLead) {
        return new Run(name, source, newLead, input, converter, aim);
    }

    public Run withInput(Input newInput) {
        return new Run(name, source, lead, newInput, converter, aim);
    }

    public Run withConverter(Converter newConverter) {
        return new Run(name, source, lead, input, newConverter, aim);
    }

    public Run withAim(Aim newAim) {
        return new Run(name, source, lead, input, converter, newAim);
    }

    public Run withName(String newName) {
        return new Run(newName, source, lead, input, converter, aim);
    }

    private Run withGain(Control gain) {
        return withInput(input.withGain(gain));
    }
}
