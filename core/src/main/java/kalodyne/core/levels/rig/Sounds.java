package kalodyne.core.levels.rig;

import java.util.List;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Stage;
import kalodyne.core.joint.SourceLevel;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.gain.Sound;
import kalodyne.core.units.Print;

/** What comes out of sources, and what is to be doubted in it. */
final class Sounds {
    private final List<Doubt> doubts;

    Sounds(List<Doubt> doubts) {
        this.doubts = doubts;
    }

    /** What a stage hears or plays by itself. */
    Sound of(String id, Device device, Stage stage) {
        return of(id, device, SourceLevel.of(device, stage), new Spot(id, stage.id()), stage.name());
    }

    /** What comes out of a socket that nothing inside feeds. */
    Sound of(String id, Device device, Socket socket) {
        return of(id, device, SourceLevel.of(device, socket), new Spot(id, socket.id()), socket.name());
    }

    /** What is mixed in a mixer that nothing is plugged into: others plug into it, or it is plugged later. */
    Sound mixed(String id, Device device, Stage bus) {
        SourceLevel source = SourceLevel.ofMix();
        String words = "Nothing is plugged into " + device.name() + " here. Its mix is taken to reach "
                + source.levels().peak() + " at the loudest: "
                + Print.signed(
                        source.levels().peak().above(SourceLevel.METER_ZERO).db(), 0)
                + " dB on its meter, give or take " + (int) SourceLevel.UNKNOWN_DB + " dB.";
        // Once for both sides.
        if (doubts.stream().noneMatch(doubt -> doubt.words().equals(words))) {
            doubts.add(new Doubt(new Spot(id, bus.id()), words, false));
        }
        return Sound.played(id, source.levels(), source.spread());
    }

    private Sound of(String id, Device device, SourceLevel source, Spot at, String name) {
        if (source.basis() != SourceLevel.Basis.TOLD) {
            doubts.add(new Doubt(
                    at,
                    "How loud " + device.name() + " gets is not known; assumed to be "
                            + source.levels().peak() + " at the loudest, give or take " + (int) SourceLevel.UNKNOWN_DB
                            + " dB.",
                    false));
        }
        if (source.isAverageTooHigh()) {
            doubts.add(new Doubt(at, "The average of " + name + " is given as louder than its loudest peak.", true));
        }
        if (source.isNoiseTooHigh()) {
            doubts.add(new Doubt(
                    at,
                    "The noise of " + device.name()
                            + " is given as louder than its average level: one of the two is wrong.",
                    true));
        }
        return Sound.played(id, source.levels(), source.spread());
    }
}
