package kalodyne.desktop.levels;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Facts;
import kalodyne.core.gear.Part;
import kalodyne.core.gear.Parts;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.units.Length;
import kalodyne.core.units.Print;
import kalodyne.core.units.Quantity;
import kalodyne.core.units.UnreadableQuantity;
import kalodyne.desktop.model.StudioModel;

/** The values of the gear at a station that the levels of a run follow from, to be corrected in place. */
final class GearFields {
    private static final List<Fact<?>> OF_SOURCE =
            List.of(Fact.LOUDEST_PEAK, Fact.AVERAGE_LEVEL, Fact.OWN_NOISE, Fact.MAXIMUM_LEVEL, Fact.SOURCE_IMPEDANCE);
    private static final List<Fact<?>> OF_INPUT = List.of(Fact.MAXIMUM_LEVEL, Fact.LOAD_IMPEDANCE);
    private static final Set<Fact<?>> OF_STAGE = Set.of(
            Fact.STAGE_GAIN,
            Fact.STAGE_CEILING,
            Fact.INPUT_NOISE,
            Fact.OUTPUT_NOISE,
            Fact.FULL_SCALE,
            Fact.CONVERTER_NOISE);

    private static final double NEAREST_METRES = 0.2;
    private static final double FARTHEST_METRES = 50;

    private final StudioModel studio;

    /** A value: what it is called, how it is shown, and what is done with what is typed. */
    record Field(String id, String label, String help, String shown, Consumer<String> typed) {}

    GearFields(StudioModel studio) {
        this.studio = studio;
    }

    List<Field> of(LevelPlan plan, int station) {
        Optional<Device> device = plan.trace().marks().get(station).flatMap(studio.studio()::device);
        if (device.isEmpty()) {
            return List.of();
        }
        Set<String> marks = new LinkedHashSet<>();
        for (int i = 0; i < plan.trace().path().points().size(); i++) {
            if (plan.trace().stationOf().get(i) == station) {
                int point = plan.trace().path().points().get(i);
                marks.add(plan.flow().points().get(point).id().spot().part());
            }
        }
        List<Field> fields = new ArrayList<>();
        if (device.get().kind() == DeviceKind.SPEAKER) {
            fields.add(distance(device.get()));
        }
        boolean isSource = station == 0;
        for (Part part : Parts.of(device.get())) {
            boolean isSocket = marks.stream().anyMatch(mark -> part.mark().equals("socket " + mark));
            boolean isStage = marks.stream().anyMatch(mark -> part.mark().equals("stage " + mark));
            List<Fact<?>> facts = isSocket
                    ? isSource
                            ? OF_SOURCE
                            : part.facts().known().stream()
                                    .filter(OF_INPUT::contains)
                                    .toList()
                    : isStage
                            ? part.facts().known().stream()
                                    .filter(OF_STAGE::contains)
                                    .toList()
                            : List.of();
            facts.forEach(fact -> fields.add(field(device.get(), part, fact, !isSource)));
        }
        return fields;
    }

    private Field distance(Device loudspeaker) {
        return new Field(
                "distance",
                "Distance to where you listen",
                "Twice as far is 6 dB less. For example " + Quantity.LENGTH.example() + ".",
                Quantity.LENGTH.print(new Length(studio.setup().settings().metres(loudspeaker.id()))),
                text -> away(loudspeaker.id(), text));
    }

    private void away(String loudspeaker, String text) {
        double metres = Quantity.LENGTH.read(text).metres();
        if (!(metres >= NEAREST_METRES && metres <= FARTHEST_METRES)) {
            throw new UnreadableQuantity(
                    "Nobody listens from " + text.strip() + ".", "Write for example 1.2 m; 0.2 to 50 m are possible.");
        }
        studio.editSettings("move a loudspeaker", settings -> settings.away(loudspeaker, metres));
    }

    private <T> Field field(Device device, Part part, Fact<T> fact, boolean isNamed) {
        String label = isNamed ? part.label() + ": " + lower(fact.label()) : fact.label();
        return new Field(
                (part.mark() + "-" + fact.id()).replace(' ', '-'),
                label,
                fact.help() + " For example " + fact.quantity().example() + ".",
                part.facts().printed(fact).orElse(""),
                text -> set(device.id(), part.mark(), fact, text));
    }

    private static String lower(String label) {
        return Print.withinSentence(label);
    }

    private <T> void set(String id, String mark, Fact<T> fact, String text) {
        Device device = studio.studio().device(id).orElseThrow();
        Facts facts = Parts.find(Parts.of(device), mark).orElseThrow().facts();
        Facts changed = facts.corrected(fact, text, studio.today());
        studio.change(
                null, "change the " + lower(fact.label()), studio.studio().with(Parts.with(device, mark, changed)));
    }
}
