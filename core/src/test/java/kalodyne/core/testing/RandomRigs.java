package kalodyne.core.testing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugger;
import kalodyne.core.joint.Spot;

/** Gear of the catalogue plugged together by chance, as far as plugs fit. */
public final class RandomRigs {
    private static final Catalogue CATALOGUE = Catalogue.shipped();

    private RandomRigs() {}

    /** Devices of the catalogue, as many as told and up to so many more, an interface beside them, leads wherever they fit. */
    public static Patch any(Random random, int least, int more) {
        Plugger plugger = new Plugger();
        List<Device> devices = new ArrayList<>();
        int count = least + random.nextInt(more);
        for (int i = 0; i < count; i++) {
            Device device = CATALOGUE
                    .devices()
                    .get(random.nextInt(CATALOGUE.devices().size()))
                    .gear();
            devices.add(device);
            plugger.with("device-" + i, device);
        }
        devices.add(CATALOGUE.device("interface-4").orElseThrow().gear());
        plugger.with("device-" + (devices.size() - 1), devices.get(devices.size() - 1));
        int leads = 0;
        for (int tries = 0; tries < 40; tries++) {
            int from = random.nextInt(devices.size());
            int to = random.nextInt(devices.size());
            Optional<Spot> out = socket(random, devices.get(from), from, Direction.OUT);
            Optional<Spot> in = socket(random, devices.get(to), to, Direction.IN);
            if (from != to && isFree(plugger, out) && isFree(plugger, in)) {
                Optional<Lead> lead = fitting(random, devices.get(from), out.get(), devices.get(to), in.get());
                if (lead.isPresent()) {
                    plugger.with("lead-" + ++leads, lead.get()).join(out.get(), List.of("lead-" + leads), in.get());
                }
            }
        }
        return plugger.patch();
    }

    /** A lead of the catalogue that goes into both, of a few that are tried. */
    private static Optional<Lead> fitting(Random random, Device from, Spot out, Device to, Spot in) {
        Plugger plugger = new Plugger().with(out.item(), from).with(in.item(), to);
        return Stream.generate(() -> CATALOGUE
                        .leads()
                        .get(random.nextInt(CATALOGUE.leads().size()))
                        .gear())
                .limit(40)
                .filter(lead -> fits(plugger.with("lead", lead), out, in))
                .findFirst();
    }

    /** One end goes into one socket, and another end into the other. */
    private static boolean fits(Plugger plugger, Spot out, Spot in) {
        Optional<Spot> first = plugger.freeEnd("lead", out);
        Optional<Spot> second = plugger.freeEnd("lead", in);
        return first.isPresent() && second.isPresent() && !first.equals(second);
    }

    private static boolean isFree(Plugger plugger, Optional<Spot> spot) {
        return spot.filter(there -> !plugger.patch().isPlugged(there)).isPresent();
    }

    private static Optional<Spot> socket(Random random, Device device, int index, Direction way) {
        List<Socket> sockets = device.sockets().stream()
                .filter(socket -> socket.way() == way
                        && List.of(
                                        SignalKind.LINE,
                                        SignalKind.MIC,
                                        SignalKind.INSTRUMENT,
                                        SignalKind.HEADPHONE,
                                        SignalKind.PHONO)
                                .contains(socket.signal()))
                .toList();
        return sockets.isEmpty()
                ? Optional.empty()
                : Optional.of(new Spot(
                        "device-" + index,
                        sockets.get(random.nextInt(sockets.size())).id()));
    }
}
