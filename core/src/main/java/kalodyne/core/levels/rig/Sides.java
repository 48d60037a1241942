package kalodyne.core.levels.rig;

import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Stage;

/** Which sides of a stereo signal go through the parts of a device. */
final class Sides {
    /** The side of a part, or the middle. */
    enum Side {
        LEFT("left"),
        RIGHT("right"),
        MIDDLE("");

        private final String word;

        Side(String word) {
            this.word = word;
        }

        String word() {
            return word;
        }

        static Side of(Carries carries) {
            return switch (carries) {
                case LEFT -> LEFT;
                case RIGHT -> RIGHT;
                default -> MIDDLE;
            };
        }
    }

    private static final Set<Side> BOTH = EnumSet.of(Side.LEFT, Side.RIGHT);

    private final Device device;
    private final Map<String, Set<Side>> known = new HashMap<>();

    Sides(Device device) {
        this.device = device;
    }

    /** The sides that a stage has to have: both where it passes both on together, else its own one or the middle. */
    Set<Side> of(Stage stage) {
        if (stage.side().isPresent()) {
            return EnumSet.of(Side.of(stage.side().get()));
        }
        Set<Side> before = known.get(stage.id());
        if (before == null) {
            before = EnumSet.noneOf(Side.class);
            for (String from : stage.from()) {
                before.addAll(ofReference(from));
            }
            before = before.containsAll(BOTH) ? BOTH : EnumSet.of(Side.MIDDLE);
            known.put(stage.id(), before);
        }
        return before;
    }

    private Set<Side> ofReference(String from) {
        Optional<Side> told = Stage.sideOf(from).map(Sides::read);
        if (told.isPresent()) {
            return EnumSet.of(told.get());
        }
        String mark = Stage.fedBy(from);
        Optional<Stage> stage = stage(mark);
        return stage.map(this::of)
                .orElseGet(() -> device.socket(mark).map(this::of).orElse(EnumSet.of(Side.MIDDLE)));
    }

    /** A socket with both sides has contacts for both; one of a pair has its own. */
    Set<Side> of(Socket socket) {
        if (socket.contacts().containsValue(Carries.LEFT) && socket.contacts().containsValue(Carries.RIGHT)) {
            return BOTH;
        }
        return EnumSet.of(socket.side().map(Side::of).orElse(Side.MIDDLE));
    }

    /** Left, right, or the middle for anything else. */
    static Side read(String word) {
        for (Side side : List.of(Side.LEFT, Side.RIGHT)) {
            if (side.word().equals(word)) {
                return side;
            }
        }
        return Side.MIDDLE;
    }

    private Optional<Stage> stage(String id) {
        return device.stages().stream().filter(stage -> stage.id().equals(id)).findFirst();
    }
}
