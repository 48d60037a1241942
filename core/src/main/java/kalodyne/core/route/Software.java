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
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Wire;
import kalodyne.core.joint.Spot;

/**
 * What is chosen on the recorder for a way: input, output, channels, tracks, monitoring. In general words, as systems and apps
 * call these things differently; common practice.
 */
public final class Software {
    private static final Set<DeviceKind> SYSTEMS = EnumSet.of(DeviceKind.COMPUTER, DeviceKind.PHONE, DeviceKind.TABLET);
    private static final Set<DeviceKind> TALKING = EnumSet.of(DeviceKind.PHONE, DeviceKind.TABLET);

    private final Wish wish;
    private final Way way;
    private final Map<String, Device> devices;
    private final Device recorder;
    private final List<String> lines = new ArrayList<>();

    private Software(Wish wish, Way way) {
        this.wish = wish;
        this.way = way;
        this.devices = way.patch().devices();
        this.recorder = devices.get(wish.target());
    }

    /** One thing to choose each, in the order in which one does. */
    public static List<String> of(Wish wish, Way way) {
        Software software = new Software(wish, way);
        software.all();
        return List.copyOf(software.lines);
    }

    private void all() {
        Set<String> senders = new LinkedHashSet<>();
        way.strands().forEach(strand -> strand.track().sender().ifPresent(senders::add));
        if (!SYSTEMS.contains(recorder.kind())) {
            standalone();
        } else if (senders.isEmpty()) {
            socket();
        } else {
            senders.forEach(this::sender);
        }
        way.strands().forEach(this::track);
        if (SYSTEMS.contains(recorder.kind())) {
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
            lines.add("Mixer: nothing is chosen here; bring the channel's fader up last");
        } else {
            lines.add(
                    recorder.name() + ": choose " + entries()
                            + " as the input; set its level by hand, at its lowest step above zero first; switch automatic level off");
        }
    }

    private String entries() {
        return way.strands().stream()
                .map(strand -> "“" + strand.track().words() + "”")
                .distinct()
                .collect(Collectors.joining(" and "));
    }

    private void socket() {
        lines.add("System input: " + recorder.name() + "’s own socket, " + entries()
                + ". Answer “microphone” or “headset” if it asks what was plugged in");
    }

    private void sender(String id) {
        Device device = devices.get(id);
        lines.add("System input: “" + device.name() + "”, not the built-in microphone");
        lines.add(
                playsBack(device)
                        ? "System output: “" + device.name()
                                + "” too: some systems choose it for themselves, look at both"
                        : "System output: stays as it is, " + device.name() + " plays nothing back");
        mode(device);
        leadTo(device);
        boolean needsAllow = TALKING.contains(recorder.kind());
        if (needsAllow) {
            lines.add("Allow the app the microphone, and “use this accessory” if it is asked");
        }
    }

    private static boolean playsBack(Device device) {
        return device.sockets().stream()
                .flatMap(socket -> socket.channels().stream())
                .anyMatch(pair -> pair.way() == kalodyne.core.gear.Way.IN);
    }

    /** A device that sends one thing or another needs a switch. */
    private void mode(Device device) {
        List<ChannelPair> pairs =
                device.sockets().stream().flatMap(Ports::recorded).toList();
        boolean hasMultitrack = pairs.stream().anyMatch(pair -> pair.carries().contains("multitrack"));
        if (hasMultitrack) {
            lines.add(device.name()
                    + (way.strands().size() > 1
                            ? ": switch multitrack on, else both come as one mix"
                            : ": stereo mode does; multitrack mode gives each input its own channel"));
        } else if (pairs.size() > 1) {
            lines.add("Channels of " + device.name() + ": "
                    + pairs.stream()
                            .map(pair -> pair.channels() + " " + pair.carries())
                            .collect(Collectors.joining("; ")));
        }
    }

    private void leadTo(Device device) {
        Optional<Lead> lead = way.patch().pluggings().stream()
                .filter(plugging -> plugging.spots().stream().anyMatch(spot -> isData(device, spot)))
                .flatMap(plugging -> plugging.spots().stream())
                .flatMap(spot -> Optional.ofNullable(way.patch().leads().get(spot.item())).stream())
                .findFirst();
        lead.ifPresent(usb -> lines.add("Lead: " + usb.name()
                + (carriesData(usb)
                        ? " carries data; one that only charges looks alike and is not seen"
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

    private void track(Way.Strand strand) {
        String played = devices.get(strand.stations().get(0)).name();
        List<Integer> channels = strand.track().channels();
        boolean isStereo = strand.channels() > 1;
        String from = channels.isEmpty()
                ? strand.track().words()
                : (channels.size() == 1 ? "channel " : "channels ")
                        + channels.stream().map(String::valueOf).collect(Collectors.joining(" and "));
        if (recorder.kind() != DeviceKind.MIXER) {
            lines.add((isStereo ? "One stereo track for " : "One mono track for ") + played + ": its input is " + from
                    + (isStereo || !isStereoSource(strand) ? "" : "; left and right come as one"));
        }
    }

    private boolean isStereoSource(Way.Strand strand) {
        return wish.stereo() == Stereo.KEEP
                && new Ports(devices.get(strand.stations().get(0)))
                        .outlets().stream().anyMatch(port -> port.shape().channels() > 1);
    }

    // --- hearing -----------------------------------------------------------------------------------------------

    private void monitoring() {
        boolean isDirect = way.monitoring().delayMilliseconds() == 0;
        boolean isHeard = wish.heard().headphones().isPresent();
        if (!isHeard && wish.heard().speakers().isEmpty()) {
            lines.add("Monitoring in the app: off; nobody listens meanwhile");
        } else if (isHeard) {
            lines.add(
                    isDirect
                            ? "Monitoring in the app: off, one hears it directly; both together sound like an echo"
                            : "Monitoring in the app: on, direct monitoring off; a smaller buffer is heard sooner");
        }
        if (!wish.heard().speakers().isEmpty()) {
            lines.add(
                    "Feedback guard: with a microphone open mute the speakers, and let the output be muted while a track is armed");
        }
        if (way.strands().size() > 1 && TALKING.contains(recorder.kind())) {
            lines.add(
                    "Some apps merge all inputs into one channel: make a short test take and look whether there are two tracks");
        }
    }

    private void automatic() {
        lines.add("Automatic level, noise reduction and voice enhancement: off, else they ride the level against you");
        boolean hasRate = way.strands().stream()
                .flatMap(strand -> strand.track().sender().stream())
                .map(devices::get)
                .anyMatch(device -> device.sampleRatesHz().contains(48_000));
        if (hasRate) {
            lines.add("Format: 24 bits, 48 kHz, the same in the system and in the app");
        }
    }

    private void quiet() {
        lines.add("Voice assistant, calls and notifications: off; flight mode keeps the radio's buzz out too");
    }
}
