package kalodyne.core.studio.exchange;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Ids;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Part;
import kalodyne.core.gear.Parts;
import kalodyne.core.joint.Spot;
import kalodyne.core.runsheet.Session;
import kalodyne.core.runsheet.SessionPlan;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.Take;

/**
 * What an import would do.
 *
 * @param lines what would become of each thing that comes in, in order
 * @param result the studio as it would be
 */
public record ImportPlan(List<Line> lines, Studio result) {
    /** What is done with things that are there already. */
    public enum Mode {
        /** What has the same id, or else the same name, is replaced by what comes in. */
        MERGE,
        /** Everything comes in as new, under a name that is free. */
        COPY
    }

    /** What becomes of one thing. */
    public enum Effect {
        ADDED("new"),
        CHANGED("changed"),
        SAME("the same");

        private final String word;

        Effect(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    /**
     * What becomes of one thing.
     *
     * @param kind "device", "lead" or "setup"
     * @param name under which it will be there
     * @param effect new, changed or the same
     * @param details what changes: "Output: Maximum level +14.0 dBu → +16.0 dBu", "colour blue → pink"
     */
    public record Line(String kind, String name, Effect effect, List<String> details) {
        public Line {
            details = List.copyOf(details);
        }

        @Override
        public String toString() {
            return kind + " " + name + ": " + effect.word()
                    + (details.isEmpty() ? "" : " (" + String.join("; ", details) + ")");
        }
    }

    private static final int MOST_DETAILS = 6;

    public ImportPlan {
        lines = List.copyOf(lines);
    }

    public long count(Effect effect) {
        return lines.stream().filter(line -> line.effect() == effect).count();
    }

    /** "3 new, 1 changed, 12 the same". */
    public String summary() {
        return count(Effect.ADDED) + " new, " + count(Effect.CHANGED) + " changed, " + count(Effect.SAME) + " the same";
    }

    public boolean changesAnything() {
        return count(Effect.SAME) < lines.size();
    }

    public static ImportPlan of(Studio present, Studio incoming, Mode mode) {
        return new Planning(present, mode).plan(incoming);
    }

    private static final class Planning {
        private final Mode mode;
        private final List<Line> lines = new ArrayList<>();
        /** Under which marks gear comes in that had others. */
        private final Map<String, String> renamed = new HashMap<>();

        private Studio studio;

        Planning(Studio present, Mode mode) {
            this.studio = present;
            this.mode = mode;
        }

        ImportPlan plan(Studio incoming) {
            boolean isNew = studio.equals(Studio.empty());
            Kind<Device> devices = new Kind<>("device", Device::id, Device::name, Device::withId, Device::withName);
            Kind<Lead> leads = new Kind<>("lead", Lead::id, Lead::name, Lead::withId, Lead::withName);
            Kind<Setup> setups = new Kind<>("setup", Setup::id, Setup::name, Setup::withId, Setup::named);
            studio = studio.withDevices(
                    take(studio.devices(), incoming.devices(), devices, (old, now) -> now, Planning::differences));
            studio = studio.withLeads(
                    take(studio.leads(), incoming.leads(), leads, (old, now) -> now, Planning::differences));
            studio = studio.withSetups(take(
                    isNew && !incoming.setups().isEmpty() ? List.of() : studio.setups(),
                    incoming.setups().stream().map(this::pluggedAnew).toList(),
                    setups,
                    Planning::joined,
                    Planning::differences));
            return new ImportPlan(lines, isNew ? studio.withName(incoming.name()) : studio);
        }

        /** What is plugged follows the gear to its new marks. */
        private Setup pluggedAnew(Setup setup) {
            return setup.renamed(this::anew);
        }

        private Spot anew(Spot spot) {
            String now = renamed.getOrDefault(spot.kind(), spot.kind());
            return new Spot(now + spot.item().substring(spot.kind().length()), spot.part());
        }

        /** How things of a kind are told apart. */
        private record Kind<T>(
                String word,
                Function<T, String> id,
                Function<T, String> name,
                BiFunction<T, String, T> withId,
                BiFunction<T, String, T> withName) {}

        private <T> List<T> take(
                List<T> present,
                List<T> incoming,
                Kind<T> kind,
                BiFunction<T, T, T> join,
                BiFunction<T, T, List<String>> differences) {
            Map<String, T> byId = new LinkedHashMap<>();
            present.forEach(item -> byId.put(kind.id().apply(item), item));
            Set<String> names = new LinkedHashSet<>();
            present.forEach(item -> names.add(kind.name().apply(item)));
            for (T item : incoming) {
                Optional<T> old = mode == Mode.MERGE ? match(byId, present, item, kind) : Optional.empty();
                if (old.isPresent()) {
                    T now = join.apply(
                            old.get(), kind.withId().apply(item, kind.id().apply(old.get())));
                    byId.put(kind.id().apply(now), now);
                    renamed.put(kind.id().apply(item), kind.id().apply(now));
                    boolean isSame = now.equals(old.get());
                    lines.add(new Line(
                            kind.word(),
                            kind.name().apply(now),
                            isSame ? Effect.SAME : Effect.CHANGED,
                            isSame ? List.of() : differences.apply(old.get(), now)));
                } else {
                    boolean isTaken = byId.containsKey(kind.id().apply(item));
                    T own = isTaken || mode == Mode.COPY ? kind.withId().apply(item, Ids.fresh(kind.word())) : item;
                    T added = mode == Mode.COPY
                            ? kind.withName()
                                    .apply(own, Studio.freeName(kind.name().apply(item), names))
                            : own;
                    byId.put(kind.id().apply(added), added);
                    renamed.put(kind.id().apply(item), kind.id().apply(added));
                    names.add(kind.name().apply(added));
                    lines.add(new Line(kind.word(), kind.name().apply(added), Effect.ADDED, List.of()));
                }
            }
            return List.copyOf(byId.values());
        }

        private static <T> Optional<T> match(Map<String, T> byId, List<T> present, T item, Kind<T> kind) {
            T same = byId.get(kind.id().apply(item));
            if (same != null) {
                return Optional.of(same);
            }
            List<T> named = present.stream()
                    .filter(each -> kind.name().apply(each).equals(kind.name().apply(item)))
                    .toList();
            // Of two with one name nobody can say which is meant.
            return named.size() == 1 ? Optional.of(named.get(0)) : Optional.empty();
        }

        /** Takes that come in replace those of their name; the others stay. */
        private static Setup joined(Setup old, Setup now) {
            Map<List<String>, Take> takes = new LinkedHashMap<>();
            old.takes().forEach(take -> takes.put(List.of(take.run(), take.name()), take));
            now.takes().forEach(take -> takes.put(List.of(take.run(), take.name()), take));
            Map<String, Session> sessions = new LinkedHashMap<>();
            old.sessions().forEach(session -> sessions.put(session.name(), session));
            now.sessions().forEach(session -> sessions.put(session.name(), session));
            return new Setup(
                    now.id(),
                    now.name(),
                    old.wiring().joined(now.wiring()),
                    old.settings().joined(now.settings()),
                    now.wish().or(old::wish),
                    List.copyOf(takes.values()),
                    now.sessionPlan().equals(SessionPlan.USUAL) ? old.sessionPlan() : now.sessionPlan(),
                    List.copyOf(sessions.values()));
        }

        private static List<String> differences(Setup old, Setup now) {
            List<String> all = new ArrayList<>();
            if (!now.wiring().equals(old.wiring())) {
                all.add("what is plugged");
            }
            if (!now.settings().equals(old.settings())) {
                all.add("how knobs stand");
            }
            Set<Take> oldTakes = new HashSet<>(old.takes());
            long takes = now.takes().stream()
                    .filter(take -> !oldTakes.contains(take))
                    .count();
            if (takes > 0) {
                all.add(takes + (takes == 1 ? " take" : " takes"));
            }
            return shortened(all);
        }

        private static List<String> differences(Device old, Device now) {
            List<String> all = new ArrayList<>();
            differ(all, "name", old.name(), now.name());
            differ(all, "note", old.note(), now.note());
            return differences(all, Parts.of(old), Parts.of(now));
        }

        private static List<String> differences(Lead old, Lead now) {
            List<String> all = new ArrayList<>();
            differ(all, "name", old.name(), now.name());
            differ(all, "colour", old.colour(), now.colour());
            differ(all, "how many", String.valueOf(old.owned()), String.valueOf(now.owned()));
            differ(all, "note", old.note(), now.note());
            return differences(all, Parts.of(old), Parts.of(now));
        }

        private static void differ(List<String> all, String what, String was, String is) {
            if (!was.equals(is)) {
                all.add(what + " " + (was.isEmpty() ? "none" : was) + " → " + (is.isEmpty() ? "none" : is));
            }
        }

        private static List<String> differences(List<String> all, List<Part> old, List<Part> now) {
            for (Part part : now) {
                Optional<Part> before = Parts.find(old, part.mark());
                for (Fact<?> fact : Fact.all(part.of())) {
                    String was =
                            before.flatMap(each -> each.facts().printed(fact)).orElse("unknown");
                    String is = part.facts().printed(fact).orElse("unknown");
                    if (!was.equals(is)) {
                        String whole = part.label().equals(now.get(0).label()) ? "" : part.label() + ": ";
                        all.add(whole + fact.label() + " " + was + " → " + is);
                    }
                }
            }
            if (all.isEmpty()) {
                all.add("sources or wiring");
            }
            return shortened(all);
        }

        private static List<String> shortened(List<String> all) {
            if (all.size() <= MOST_DETAILS) {
                return all;
            }
            List<String> few = new ArrayList<>(all.subList(0, MOST_DETAILS - 1));
            few.add("and " + (all.size() - few.size()) + " more");
            return few;
        }
    }
}
