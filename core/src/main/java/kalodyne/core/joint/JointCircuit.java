package kalodyne.core.joint;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Stage;
import kalodyne.core.joint.circuit.Circuit;
import kalodyne.core.joint.circuit.Element.Drive;
import kalodyne.core.units.Gain;

/**
 * The circuits of gear that is plugged together: one for signals and one for what is there at rest.
 *
 * @param audio for signals; its sources give nothing until one is chosen
 * @param rest for direct voltages
 * @param soundings every signal that comes out of a socket here
 * @param hearings every signal that a socket here receives
 * @param earths how each device hangs on the earth
 * @param grounds the node of the ground of the device that each socket belongs to
 * @param touches every place where a plug touches a socket
 * @param nodes of the contacts of sockets and ends, the same in both
 */
public record JointCircuit(
        Circuit audio,
        Circuit rest,
        List<OutputSignal> soundings,
        List<InputSignal> hearings,
        List<Earth> earths,
        Map<Spot, String> grounds,
        List<Touching> touches,
        Map<Spot, Map<Contact, String>> nodes) {
    private static final Set<Carries> SIGNALS = Set.of(Carries.HOT, Carries.SIGNAL, Carries.LEFT, Carries.RIGHT);

    /** Where plug and socket touch: a clean one, as common practice. */
    private static final double TOUCH_OHMS = 0.01;

    /**
     * How a device hangs on the earth.
     *
     * @param device its mark
     * @param source the voltage source that drives hum through it
     * @param series the part between that source and the device's ground
     */
    public record Earth(String device, Earthing earthing, String source, String series) {}

    /**
     * A contact of a plug on a contact of a socket.
     *
     * @param atRest the resistor that stands for it in the circuit at rest
     */
    public record Touching(Plugging plugging, Contact plug, Contact socket, String atRest) {}

    /**
     * Builds them.
     *
     * @param readings for each plugging that makers differ about, which reading is taken; the likelier one for others
     */
    public static JointCircuit of(Patch patch, Map<Plugging, Integer> readings) {
        return new Builder(patch, readings).build();
    }

    public static JointCircuit of(Patch patch) {
        return of(patch, Map.of());
    }

    private static final class Builder {
        private final Patch patch;
        private final Map<Plugging, Integer> readings;
        private final List<Passage> passages;
        private final Board audio = new Board();
        private final Board rest = new Board();
        private final List<OutputSignal> soundings = new ArrayList<>();
        private final List<InputSignal> hearings = new ArrayList<>();
        private final List<Earth> earths = new ArrayList<>();
        private final Map<Spot, String> grounds = new LinkedHashMap<>();
        private final List<Touching> touches = new ArrayList<>();
        private final Map<Spot, Map<Contact, String>> nodes = new LinkedHashMap<>();

        Builder(Patch patch, Map<Plugging, Integer> readings) {
            this.patch = patch;
            this.readings = readings;
            this.passages = patch.passages();
        }

        JointCircuit build() {
            patch.devices().forEach(this::earth);
            sockets().forEach(this::socket);
            passages.forEach(this::pass);
            patch.leads().forEach((id, lead) -> {
                lead.ends().forEach(end -> name(new Spot(id, end.id()), end.connector()));
                new LeadModel(audio, id, lead).put();
                new LeadModel(rest, id, lead).put();
            });
            patch.pluggings().forEach(this::plug);
            grounds.keySet().forEach(spot -> new DcModel(modelled(rest, spot)).draw());
            return new JointCircuit(
                    audio.circuit(), rest.circuit(), soundings, hearings, earths, grounds, touches, nodes);
        }

        /** Those with something plugged in, and those that are wired to them or hear what comes into them. */
        private Set<Spot> sockets() {
            Set<Spot> sockets = new LinkedHashSet<>();
            for (Plugging plugging : patch.pluggings()) {
                plugging.spots().stream()
                        .filter(spot -> patch.socket(spot).isPresent())
                        .forEach(spot -> {
                            sockets.add(spot);
                            wiredTo(spot).ifPresent(sockets::add);
                        });
            }
            passages.forEach(passage -> sockets.addAll(List.of(passage.in(), passage.out())));
            patch.devices()
                    .forEach((id, device) -> device.sockets().stream()
                            .map(socket -> new Spot(id, socket.id()))
                            .filter(spot ->
                                    normalledTo(spot).filter(sockets::contains).isPresent())
                            .toList()
                            .forEach(sockets::add));
            return sockets;
        }

        private Optional<Spot> wiredTo(Spot spot) {
            return patch.socket(spot)
                    .flatMap(socket -> socket.ties().parallelTo())
                    .map(other -> new Spot(spot.item(), other));
        }

        /** The socket that a socket hears while nothing is plugged into itself. */
        private Optional<Spot> normalledTo(Spot spot) {
            return patch.isTaken(spot)
                    ? Optional.empty()
                    : patch.socket(spot)
                            .flatMap(socket -> socket.ties().normalledFrom())
                            .map(other -> new Spot(spot.item(), other));
        }

        private void earth(String id, Device device) {
            Earthing earthing = Earthing.of(device);
            String ground = audio.node(id + " ground");
            String driven = audio.node(id + " earth");
            String source = audio.voltage(driven, Circuit.GROUND, Drive.ofAc(0));
            String series = earthing.ohms() > 0
                    ? audio.resistor(driven, ground, earthing.ohms())
                    : audio.capacitor(driven, ground, earthing.farads());
            earths.add(new Earth(id, earthing, source, series));
            if (earthing.ohms() > 0) {
                rest.resistor(rest.node(id + " ground"), Circuit.GROUND, earthing.ohms());
            }
        }

        private void socket(Spot spot) {
            Socket socket = patch.socket(spot).orElseThrow();
            wiredTo(spot).ifPresentOrElse(other -> parallel(spot, socket, other), () -> {
                AudioModel model = new AudioModel(modelled(audio, spot));
                model.put(passed(spot, passages.stream()));
                soundings.addAll(model.soundings());
                hearings.addAll(model.hearings());
                new DcModel(modelled(rest, spot))
                        .put(passed(spot, passages.stream().filter(passage -> !passage.isWinding())));
                normalledTo(spot).ifPresent(other -> parallel(spot, socket, other));
            });
            name(spot, socket.connector());
            grounds.put(spot, audio.node(spot.item() + " ground"));
        }

        private Set<Carries> passed(Spot spot, Stream<Passage> between) {
            Set<Carries> passed = between.flatMap(passage -> passage.in().equals(spot)
                            ? Stream.of(passage.received())
                            : Stream.of(passage.given())
                                    .filter(given -> passage.out().equals(spot)))
                    .collect(Collectors.toSet());
            passed.addAll(wiredOn(spot));
            return passed;
        }

        /** What a box only leads on to a socket that is wired to this one: no stage of it takes anything from here. */
        private Set<Carries> wiredOn(Spot spot) {
            Device device = patch.devices().get(spot.item());
            Socket socket = patch.socket(spot).orElseThrow();
            boolean isTaken = device.stages().stream()
                    .flatMap(stage -> stage.from().stream())
                    .anyMatch(from -> Stage.fedBy(from).equals(spot.part()));
            return isTaken
                    ? Set.of()
                    : device.sockets().stream()
                            .filter(other -> patch.isWired(spot, new Spot(spot.item(), other.id())))
                            .flatMap(other -> other.contacts().values().stream())
                            .filter(SIGNALS::contains)
                            .filter(socket.contacts()::containsValue)
                            .collect(Collectors.toSet());
        }

        private void pass(Passage passage) {
            Gain gain = passage.gain(patch);
            PassageModel model =
                    new PassageModel(passage, modelled(audio, passage.in()), modelled(audio, passage.out()), gain);
            model.put();
            // With nothing behind it, what comes into the box is the last that can be looked at.
            if (!patch.isPlugged(passage.out())) {
                hearings.add(model.entry());
            }
            new PassageModel(passage, modelled(rest, passage.in()), modelled(rest, passage.out()), gain).putAtRest();
        }

        private SocketModel modelled(Board board, Spot spot) {
            return new SocketModel(board, spot, patch);
        }

        private void name(Spot spot, Connector connector) {
            Map<Contact, String> contacts = new LinkedHashMap<>();
            connector.contacts().forEach(contact -> {
                contacts.put(contact, audio.node(spot, contact));
                rest.node(spot, contact);
            });
            nodes.put(spot, contacts);
        }

        /** A socket that is joined to another one: what it carries is what that one carries. */
        private void parallel(Spot spot, Socket socket, Spot other) {
            Socket wired = patch.socket(other).orElseThrow();
            Map<Object, Contact> there = new HashMap<>();
            wired.contacts().forEach((contact, carries) -> there.putIfAbsent(carries, contact));
            socket.contacts().forEach((contact, carries) -> {
                Contact counterpart = there.get(carries);
                if (counterpart != null) {
                    audio.resistor(audio.node(spot, contact), audio.node(other, counterpart), TOUCH_OHMS);
                    rest.resistor(rest.node(spot, contact), rest.node(other, counterpart), TOUCH_OHMS);
                }
            });
        }

        private void plug(Plugging plugging) {
            List<Mating.Reading> all = patch.readings(plugging);
            if (all.isEmpty()) {
                return;
            }
            int chosen = Math.min(readings.getOrDefault(plugging, 0), all.size() - 1);
            for (Mating.Touch touch : all.get(chosen).touches()) {
                touch(audio, plugging, touch);
                touches.add(new Touching(plugging, touch.plug(), touch.socket(), touch(rest, plugging, touch)));
            }
        }

        private static String touch(Board board, Plugging plugging, Mating.Touch touch) {
            return board.resistor(
                    board.node(plugging.plug(), touch.plug()),
                    board.node(plugging.socket(), touch.socket()),
                    TOUCH_OHMS);
        }
    }
}
