package kalodyne.core.route;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import kalodyne.core.gear.ChannelPair;
import kalodyne.core.gear.ChannelRole;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Wire;
import kalodyne.core.joint.Spot;

/**
 * What is chosen on the recorder: input, output, channels, tracks, monitoring. In general words, as systems and apps
 * call these things differently; common practice.
 */
public final class Software {
    private static final Set<DeviceKind> TALKING = EnumSet.of(DeviceKind.PHONE, DeviceKind.TABLET);

    private final Captured captured;
    private final Map<String, Device> devices;
    private final Device recorder;
    private final List<Choice> choices = new ArrayList<>();

    private Software(Captured captured) {
        this.captured = captured;
        this.devices = captured.patch().devices();
        this.recorder = devices.get(captured.recorder());
    }

    /** One thing to choose each, in the order in which one does. */
    public static List<Choice> of(Captured captured) {
        Software software = new Software(captured);
        software.all();
        return List.copyOf(software.choices);
    }

    /** The same for a way, in words. */
    public static List<String> of(Wish wish, Way way) {
        return of(Captured.of(wish, way)).stream().map(Choice::words).toList();
    }

    /** What a choice is about. */
    public enum About {
        INPUT,
        OWN,
        OUTPUT,
        MODE,
        LEAD,
        PERMISSION,
        TRACK,
        MONITORING,
        FEEDBACK,
        AUTOMATIC,
        FORMAT,
        QUIET
    }

    /** One thing to choose. */
    public record Choice(About about, String words) {}

    private void add(About about, String words) {
        choices.add(new Choice(about, words));
    }

    private void all() {
        Set<String> senders = new LinkedHashSet<>();
        captured.lines().forEach(line -> line.track().sender().ifPresent(senders::add));
        if (!recorder.kind().isHost()) {
            standalone();
        } else if (senders.isEmpty()) {
            socket();
        } else {
            senders.forEach(this::sender);
        }
        captured.lines().forEach(this::track);
        if (recorder.kind().isHost()) {
            monitoring();
            automatic();
            if (TALKING.contains(recorder.kind())) {
                quiet();
            }
        }
    }

    // --- where it comes in -------------------------------------------------------------------------------------

    private void standalone() {
        if (recorder.kind() == DeviceKind.MIXER) {
            add(About.INPUT, "Mixer: nothing is chosen here; bring the channel's fader up last");
        } else {
            add(
                    input(),
                    recorder.name() + ": choose " + entries()
                            + " as the input; set its level by hand, at its lowest step above zero first; switch automatic level off");
        }
    }

    private String entries() {
        return captured.lines().stream()
                .map(strand -> strand.isOwn()
                        ? "its own microphones"
                        : "“" + strand.track().words() + "”")
                .distinct()
                .collect(Collectors.joining(" and "));
    }

    /** Whether what is plugged is chosen, or what is built in. */
    private About input() {
        return captured.lines().stream().allMatch(Captured.Line::isOwn) ? About.OWN : About.INPUT;
    }

    private void socket() {
        About about = input();
        add(
                about,
                about == About.OWN
                        ? "System input: the built-in microphone of " + recorder.name()
                        : "System input: " + recorder.name() + "’s own socket, " + entries()
                                + ". Answer “microphone” or “headset” if it asks what was plugged in");
    }

    private void sender(String id) {
        Device device = devices.get(id);
        mode(device);
        add(About.INPUT, "System input: “" + device.name() + "”, not the built-in microphone");
        add(
                About.OUTPUT,
                playsBack(device)
                        ? "System output: “" + device.name()
                                + "” too: some systems choose it for themselves, look at both"
                        : "System output: stays as it is, " + device.name() + " plays nothing back");
        channels(device);
        leadTo(device);
        boolean needsAllow = TALKING.contains(recorder.kind());
        if (needsAllow) {
            add(About.PERMISSION, "Allow the app the microphone, and “use this accessory” if it is asked");
        }
    }

    private static boolean playsBack(Device device) {
        return device.sockets().stream()
                .flatMap(socket -> socket.channels().stream())
                .anyMatch(pair -> pair.way() == kalodyne.core.gear.Direction.IN);
    }

    /** A device that sends one thing or another needs a switch; which one stands is chosen before the system looks. */
    private void mode(Device device) {
        if (hasMultitrack(device)) {
            add(
                    About.MODE,
                    device.name()
                            + (captured.lines().size() > 1
                                    ? ": switch multitrack on, else both come as one mix"
                                    : ": stereo mode does; multitrack mode gives each input its own channel"));
        }
    }

    private static boolean hasMultitrack(Device device) {
        return Captured.sent(device).stream().anyMatch(pair -> pair.role() == ChannelRole.MULTITRACK);
    }

    private void channels(Device device) {
        List<ChannelPair> pairs = Captured.sent(device);
        if (pairs.size() > 1 && !hasMultitrack(device)) {
            add(
                    About.MODE,
                    "Channels of " + device.name() + ": "
                            + pairs.stream()
                                    .map(pair -> pair.channels() + " " + pair.carries())
                                    .collect(Collectors.joining("; ")));
        }
    }

    private void leadTo(Device device) {
        Optional<Lead> lead = captured.patch().pluggings().stream()
                .filter(plugging -> plugging.spots().stream().anyMatch(spot -> isData(device, spot)))
                .flatMap(plugging -> plugging.spots().stream())
                .flatMap(spot -> Optional.ofNullable(captured.patch().leads().get(spot.item())).stream())
                .findFirst();
        lead.ifPresent(usb -> add(
                About.LEAD,
                "Lead: " + usb.name()
                        + (carriesData(usb)
                                ? " carries data; a charge-only lead looks the same and is not seen"
                                : " only charges: take one with data wires")));
    }

    private static boolean isData(Device device, Spot spot) {
        return spot.item().equals(device.id())
                && device.socket(spot.part())
                        .flatMap(socket -> Ports.recorded(socket).findFirst())
                        .isPresent();
    }

    private static boolean carriesData(Lead lead) {
        return lead.wires().stream().map(Wire::from).anyMatch(from -> from.contact() == Contact.DATA);
    }

    // --- tracks ------------------------------------------------------------------------------------------------

    private void track(Captured.Line line) {
        List<Integer> channels = line.track().channels();
        String from = channels.isEmpty()
                ? line.track().words()
                : (channels.size() == 1 ? "channel " : "channels ")
                        + channels.stream().map(String::valueOf).collect(Collectors.joining(" and "));
        if (recorder.kind() != DeviceKind.MIXER) {
            add(
                    About.TRACK,
                    (line.isStereo() ? "One stereo track for " : "One mono track for ") + line.played()
                            + ": its input is " + from + (line.losesStereo() ? "; left and right come as one" : ""));
        }
    }

    // --- hearing -----------------------------------------------------------------------------------------------

    private void monitoring() {
        if (!captured.isOnHeadphones() && !captured.isOnSpeakers()) {
            add(About.MONITORING, "Monitoring in the app: off; nobody is listening");
        } else {
            add(
                    About.MONITORING,
                    captured.isDirect()
                            ? "Monitoring in the app: off, one hears it directly; both together sound like an echo"
                            : "Monitoring in the app: on, direct monitoring off; a smaller buffer is heard sooner");
        }
        if (captured.isOnSpeakers() && hasMicrophone()) {
            add(
                    About.FEEDBACK,
                    "Feedback guard: with a microphone open mute the speakers, and let the output be muted while a track is armed");
        }
        if (captured.lines().size() > 1 && TALKING.contains(recorder.kind())) {
            add(
                    About.MODE,
                    "Some apps merge all inputs into one channel: make a short test take and look whether there are two tracks");
        }
    }

    private boolean hasMicrophone() {
        return devices.values().stream().anyMatch(device -> device.kind() == DeviceKind.MICROPHONE);
    }

    private void automatic() {
        add(
                About.AUTOMATIC,
                "Automatic level, noise reduction and voice enhancement: off, else they change the level while you play");
        boolean hasRate = captured.lines().stream()
                .flatMap(line -> line.track().sender().stream())
                .map(devices::get)
                .anyMatch(device -> device.sampleRatesHz().contains(48_000));
        if (hasRate) {
            add(About.FORMAT, "Format: 24 bits, 48 kHz, the same in the system and in the app");
        }
    }

    private void quiet() {
        add(About.QUIET, "Voice assistant, calls and notifications: off; flight mode keeps the radio's buzz out too");
    }
}
