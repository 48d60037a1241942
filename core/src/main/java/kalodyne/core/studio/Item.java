package kalodyne.core.studio;

import java.util.List;
import java.util.Optional;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.route.Wish;
import kalodyne.core.runsheet.Session;
import kalodyne.core.runsheet.SessionPlan;
import kalodyne.core.studio.practised.Answer;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.Take;

/** What a studio is kept as: pieces small enough to be written at every edit. */
public sealed interface Item {
    /** What kinds there are; each after those that it belongs to. */
    enum Kind {
        STUDIO,
        DEVICE,
        LEAD,
        SETUP,
        TAKE,
        SITTING,
        ANSWER
    }

    /**
     * What tells an item from all others.
     *
     * @param kind of item
     * @param path ids or names, from the owner's to its own
     */
    record Key(Kind kind, List<String> path) {
        public Key {
            path = List.copyOf(path);
        }

        /** The key of what it belongs to, as far as its list is concerned: a take's setup. */
        String owner() {
            return kind == Kind.TAKE || kind == Kind.SITTING ? path.get(0) : "";
        }
    }

    Key key();

    /** The studio itself: its name. */
    record OfStudio(String name) implements Item {
        @Override
        public Key key() {
            return new Key(Kind.STUDIO, List.of("studio"));
        }
    }

    record OfDevice(Device device) implements Item {
        @Override
        public Key key() {
            return new Key(Kind.DEVICE, List.of(device.id()));
        }
    }

    record OfLead(Lead lead) implements Item {
        @Override
        public Key key() {
            return new Key(Kind.LEAD, List.of(lead.id()));
        }
    }

    /** A setup without its takes and sessions. */
    record OfSetup(
            String id, String name, Wiring wiring, Settings settings, Optional<Wish> wish, SessionPlan sessionPlan)
            implements Item {
        static OfSetup of(Setup setup) {
            return new OfSetup(
                    setup.id(), setup.name(), setup.wiring(), setup.settings(), setup.wish(), setup.sessionPlan());
        }

        @Override
        public Key key() {
            return new Key(Kind.SETUP, List.of(id));
        }
    }

    record OfTake(String setup, Take take) implements Item {
        @Override
        public Key key() {
            return new Key(Kind.TAKE, List.of(setup, take.run(), take.name()));
        }
    }

    record OfAnswer(Answer answer) implements Item {
        @Override
        public Key key() {
            return new Key(Kind.ANSWER, List.of(answer.at().toString()));
        }
    }

    record OfSession(String setup, Session session) implements Item {
        @Override
        public Key key() {
            return new Key(Kind.SITTING, List.of(setup, session.name()));
        }
    }
}
