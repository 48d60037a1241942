package kalodyne.core.studio;

import java.util.List;
import java.util.Optional;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.Ids;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Switched;
import kalodyne.core.joint.Wiring;
import kalodyne.core.studio.setup.Setup;

/** What an empty setup may begin with: gear of the catalogue, with typical values that its owner corrects, plugged together. */
public enum Starter {
    SYNTH("Synth or drum machine into a line input", "synth-analogue", "out", "ts-ts", "line-1", "line"),
    GUITAR(
            "Electric guitar or bass into an instrument input",
            "guitar-single-coil",
            "out",
            "ts-ts",
            "inst-1",
            "instrument"),
    VOICE("Dynamic microphone into a mic input", "mic-dynamic-voice", "out", "xlr-xlr", "mic-1", "line");

    private static final String INTERFACE = "interface-2";
    private static final String SELECT = "inst-switch-1";
    private static final String COMPUTER = "laptop-combo";
    private static final String DATA_LEAD = "usb-a-c";

    private final String title;
    private final String source;
    private final String output;
    private final String lead;
    private final String input;
    private final String selected;

    Starter(String title, String source, String output, String lead, String input, String selected) {
        this.title = title;
        this.source = source;
        this.output = output;
        this.lead = lead;
        this.input = input;
        this.selected = selected;
    }

    public String title() {
        return title;
    }

    /** A studio with this in one of its setups. Gear of the kind that is on the shelf already is plugged; the rest is added. */
    public Studio into(Studio studio, Setup setup) {
        Begun begun = new Begun(studio);
        Device from = begun.device(source);
        Device to = begun.device(INTERFACE);
        Device computer = begun.device(COMPUTER);
        Lead sound = begun.lead(lead);
        Lead data = begun.lead(DATA_LEAD);
        Wiring plugged = setup.wiring()
                .plugging(List.of(
                        onto(from, output, sound),
                        plug(sound, "b", to, input),
                        plug(data, "b", to, "usb"),
                        plug(data, "a", computer, "usb-1")))
                .with(new Switched(new Spot(to.id(), SELECT), selected));
        return begun.studio.with(setup.withWiring(plugged));
    }

    /** The first end of a lead on an output, whose pins may go into the lead instead. */
    private static Plugging onto(Device device, String output, Lead lead) {
        Spot out = new Spot(device.id(), output);
        Spot end = new Spot(lead.id(), "a");
        return device.socket(output).orElseThrow().form() == Form.PLUG
                ? new Plugging(out, end)
                : new Plugging(end, out);
    }

    private static Plugging plug(Lead lead, String end, Device device, String socket) {
        return new Plugging(new Spot(lead.id(), end), new Spot(device.id(), socket));
    }

    /** A studio that gets what it lacks. */
    private static final class Begun {
        private Studio studio;

        Begun(Studio studio) {
            this.studio = studio;
        }

        Device device(String profile) {
            Optional<Device> owned = studio.devices().stream()
                    .filter(device -> device.profile().filter(profile::equals).isPresent())
                    .findFirst();
            return owned.orElseGet(() -> {
                Device typical =
                        Catalogue.shipped().device(profile).orElseThrow().gear();
                Device added = typical.withProfile(profile)
                        .withId(Ids.fresh(profile))
                        .withName(Studio.freeName(
                                typical.name(),
                                studio.devices().stream().map(Device::name).toList()));
                studio = studio.with(added);
                return added;
            });
        }

        Lead lead(String profile) {
            Optional<Lead> owned = studio.leads().stream()
                    .filter(lead -> lead.profile().filter(profile::equals).isPresent())
                    .findFirst();
            return owned.orElseGet(() -> {
                Lead typical = Catalogue.shipped().lead(profile).orElseThrow().gear();
                Lead added = typical.withProfile(profile)
                        .withId(Ids.fresh(profile))
                        .withName(Studio.freeName(
                                typical.name(),
                                studio.leads().stream().map(Lead::name).toList()));
                studio = studio.with(added);
                return added;
            });
        }
    }
}
