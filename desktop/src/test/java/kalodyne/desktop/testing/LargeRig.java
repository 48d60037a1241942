package kalodyne.desktop.testing;

import java.util.ArrayList;
import java.util.List;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.joint.Plugger;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Setup;

/** More than most homes have plugged at once: synths and drum machines into mixers, these into interfaces. */
public final class LargeRig {
    private static final List<String> PLAYED =
            List.of("synth-digital", "synth-analogue", "synth-desktop", "groovebox-outs", "drum-machine");
    private static final List<String> MIXING = List.of("mixer-multitrack-usb", "mixer-rack", "mixer-small");
    private static final List<String> LEADS = List.of("ts-ts", "trs-trs", "trs-xlr", "rca-2ts", "mini-2ts");

    private final Catalogue catalogue = Catalogue.shipped();
    private final Plugger plugger = new Plugger();
    private final List<Device> devices = new ArrayList<>();
    private final List<Lead> leads = new ArrayList<>();

    private LargeRig() {}

    /** A studio with a setup of so many leads between two devices, or one more. */
    public static Studio of(int joints) {
        LargeRig rig = new LargeRig();
        rig.add("interface-4");
        for (int i = 0; rig.leads.size() < joints && i < joints; i++) {
            if (i % 6 == 0) {
                Device mixer = rig.add(MIXING.get(i / 6 % MIXING.size()));
                rig.plug(mixer, rig.devices.get(0), 2);
            }
            rig.plug(rig.add(PLAYED.get(i % PLAYED.size())), rig.mixers(), 2);
        }
        Setup setup = Setup.bare("setup-1", "All of it")
                .withWiring(Wiring.NONE.plugging(rig.plugger.patch().pluggings()));
        return new Studio("Large", rig.devices, rig.leads, List.of(setup));
    }

    private Device add(String profile) {
        Device kind = catalogue.device(profile).orElseThrow().gear();
        Device device = kind.withId("device-" + devices.size()).withName(kind.name() + " " + (devices.size() + 1));
        devices.add(device);
        plugger.with(device.id(), device);
        return device;
    }

    private Device mixers() {
        return devices.stream()
                .filter(device -> device.name().contains("ixer") && free(device, Direction.IN) != null)
                .findFirst()
                .orElseGet(() -> add(MIXING.get(0)));
    }

    private Spot free(Device device, Direction way) {
        return device.sockets().stream()
                .filter(socket -> socket.way() == way && socket.signal() == SignalKind.LINE)
                .map(Socket::id)
                .map(id -> new Spot(device.id(), id))
                .filter(spot -> !plugger.patch().isPlugged(spot))
                .findFirst()
                .orElse(null);
    }

    private void plug(Device from, Device to, int most) {
        for (int i = 0; i < most; i++) {
            Spot out = free(from, Direction.OUT);
            Spot in = free(to, Direction.IN);
            if (out != null && in != null) {
                join(out, in);
            }
        }
    }

    /** With the first lead that goes into both. */
    private void join(Spot out, Spot in) {
        String id = "lead-" + (leads.size() + 1);
        LEADS.stream()
                .map(profile -> catalogue.lead(profile).orElseThrow().gear())
                .map(lead -> lead.withId(id).withName("Lead " + (leads.size() + 1)))
                .filter(lead -> fits(lead, out, in))
                .findFirst()
                .ifPresent(lead -> {
                    leads.add(lead);
                    plugger.with(id, lead).join(out, List.of(id), in);
                });
    }

    private boolean fits(Lead lead, Spot out, Spot in) {
        try {
            devices.stream()
                    .reduce(
                            new Plugger(),
                            (plugging, device) -> plugging.with(device.id(), device),
                            (one, other) -> one)
                    .with(lead.id(), lead)
                    .join(out, List.of(lead.id()), in);
            return true;
        } catch (IllegalArgumentException e) {
            return false;
        }
    }
}
