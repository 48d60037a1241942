package kalodyne.core.route;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import kalodyne.core.gear.ChannelPair;
import kalodyne.core.gear.ChannelRole;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Lead;
import kalodyne.core.joint.Spot;
import kalodyne.core.sums.RecordingFormat;
import kalodyne.core.units.Print;

/**
 * What is chosen on the recorder: input, output, channels, tracks, monitoring. In general words, as systems and apps
 * call these things differently; common practice.
 */
public final class Software {

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
        if (wish.isHeardOnly()) {
            return heard(way);
        }
        return of(Captured.of(wish, way)).stream().map(Choice::words).toList();
    }

    /** Where nothing is recorded a computer is only told what to play on. */
    private static List<String> heard(Way way) {
        return way.strands().stream()
                .map(Way.Strand::stations)
                .filter(stations -> way.patch().devices().containsKey(stations.get(0))
                        && way.patch().devices().get(stations.get(0)).kind().isHost())
                .map(stations -> {
                    Device next = way.patch().devices().get(stations.get(1));
                    return next.kind() == DeviceKind.INTERFACE
                            ? "System output: “" + next.name() + "”; some systems choose it for themselves, look"
                            : "System output: the socket it is plugged into; its own loudspeaker is silent then";
                })
                .distinct()
                .toList();
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
        LEVEL,
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
            if (isTalking()) {
                app();
            }
            automatic();
            format();
            if (isTalking()) {
                quiet();
            }
        }
    }

    // --- where it comes in -------------------------------------------------------------------------------------

    private void standalone() {
        switch (recorder.kind()) {
            case MIXER -> add(About.INPUT, "Mixer: nothing is chosen here; bring the channel's fader up last");
            case CAMERA ->
                add(
                        input(),
                        recorder.name() + ": " + entries()
                                + " as its sound; set its level by hand, at its lowest step above zero first; switch automatic level off");
            default ->
                add(
                        input(),
                        recorder.name() + ": choose " + entries()
                                + " as the input; set its level by hand; switch automatic level off");
        }
    }

    private String entries() {
        return Print.listed(captured.lines().stream()
                .map(line -> line.isOwn()
                        ? "its own microphones"
                        : "“" + line.track().words() + "”")
                .distinct()
                .toList());
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
                        : "System input: " + entries() + " of " + recorder.name()
                                + ", not the built-in microphone. Answer “microphone” or “headset” if it asks what was plugged in");
    }

    private void sender(String id) {
        Device device = devices.get(id);
        mode(device);
        add(
                About.INPUT,
                "System input: “" + device.name()
                        + "”, not the built-in microphone; choose it before the app is opened");
        add(
                About.OUTPUT,
                playsBack(device)
                        ? "System output: “" + device.name()
                                + "” too: some systems choose it for themselves, look at both"
                        : "System output: stays as it is, " + device.name() + " plays nothing back");
        channels(device);
        leadTo(device);
        if (isTalking()) {
            add(
                    About.PERMISSION,
                    "Allow the app the microphone, and “use this accessory” if it is asked; to “is this a headphone?” answer no");
        }
    }

    private boolean isTalking() {
        return recorder.kind().isHandheld();
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
                        + (usb.carriesData()
                                ? " carries data; a charge-only lead looks the same and is not seen"
                                : " only charges: take one with data wires")));
    }

    private static boolean isData(Device device, Spot spot) {
        return spot.item().equals(device.id())
                && device.socket(spot.part())
                        .flatMap(socket -> Ports.recorded(socket).findFirst())
                        .isPresent();
    }

    // --- tracks ------------------------------------------------------------------------------------------------

    private void track(Captured.Line line) {
        boolean isArmed = recorder.kind() != DeviceKind.MIXER && recorder.kind() != DeviceKind.CAMERA;
        if (isArmed) {
            add(
                    About.TRACK,
                    (line.isStereo() ? "One stereo track for " : "One mono track for ") + line.played()
                            + ": its input is " + line.track().from()
                            + (line.losesStereo() ? "; left and right come as one" : ""));
        }
    }

    // --- hearing -----------------------------------------------------------------------------------------------

    private void monitoring() {
        add(About.MONITORING, "Monitoring in the app: " + heard());
        if (captured.isOnSpeakers() && hasMicrophone()) {
            add(
                    About.FEEDBACK,
                    "Feedback guard: with a microphone open mute the speakers, and let the output be muted while a track is armed");
        }
        if (captured.lines().size() > 1 && isTalking()) {
            add(
                    About.MODE,
                    "Some apps merge all inputs into one channel: choose multitrack in its settings, and look in the test take whether there are "
                            + captured.lines().size() + " tracks");
        }
    }

    private String heard() {
        if (!captured.isOnHeadphones() && !captured.isOnSpeakers()) {
            return "off; nobody is listening";
        }
        if (captured.isDirect()) {
            return "off, one hears it directly; both together sound like an echo";
        }
        boolean hasSender =
                captured.lines().stream().anyMatch(line -> line.track().sender().isPresent());
        return "on" + (hasSender ? ", direct monitoring off" : "") + "; a smaller buffer is heard sooner"
                + (isTalking() ? ". Nothing is heard before the app has opened its input" : "");
    }

    private boolean hasMicrophone() {
        return devices.values().stream().anyMatch(device -> device.kind() == DeviceKind.MICROPHONE);
    }

    /** Many apps have a level of their own behind everything else. */
    private void app() {
        add(
                About.LEVEL,
                "Microphone level in the app, where it has one: 100 %; it comes last, and cannot mend what clips before it");
    }

    private void automatic() {
        add(
                About.AUTOMATIC,
                "Automatic level, noise reduction and voice enhancement: off, else they change the level while you play");
    }

    private void format() {
        captured.lines().stream()
                .flatMap(line -> line.track().sender().stream())
                .map(devices::get)
                .filter(device -> !device.sampleRatesHz().isEmpty())
                .findFirst()
                .ifPresent(device ->
                        add(About.FORMAT, words(UsualFormat.of(device, OptionalInt.empty(), OptionalInt.empty(), 1))));
    }

    /** What is set alike wherever it can be set. */
    public static String words(RecordingFormat format) {
        return "Format: " + format.bits() + " bits, " + Print.plain(format.sampleRateHz() / 1000.0)
                + " kHz, the same in the system and in the app";
    }

    private void quiet() {
        add(About.QUIET, "Voice assistant, calls and notifications: off; flight mode keeps the radio's buzz out too");
    }
}
