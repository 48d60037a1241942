package kalodyne.core.levels.rig;

import java.util.List;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.SourceLevel;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.gain.Sound;

/** What comes out of sources, and what is to be doubted in it. */
final class Sounds {
    private final List<Doubt> doubts;

    Sounds(List<Doubt> doubts) {
        this.doubts = doubts;
    }

    Sound of(String id, Device device, Socket socket) {
        SourceLevel source = SourceLevel.of(device, socket);
        Spot at = new Spot(id, socket.id());
        if (source.basis() != SourceLevel.Basis.TOLD) {
            doubts.add(new Doubt(
                    at,
                    "How loud " + device.name() + " gets is not known; assumed to be "
                            + source.levels().peak() + " at the loudest, give or take " + (int) SourceLevel.UNKNOWN_DB
                            + " dB.",
                    false));
        }
        if (source.isAverageTooHigh()) {
            doubts.add(new Doubt(
                    at, "The average of " + socket.name() + " is given as louder than its loudest peak.", true));
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
