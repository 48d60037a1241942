package kalodyne.core.studio;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.runsheet.Session;
import kalodyne.core.studio.practised.Answer;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.Take;

/**
 * A studio as a value and as placed items at once: says which items differ in another value, and which value comes of
 * changed items. An item keeps its place while it lives, so that what is taken away comes back where it stood.
 */
final class Ledger {
    private static final double STEP = 1;

    private Studio studio;
    private final Map<Item.Key, Double> places = new HashMap<>();

    /** A studio whose items were never placed before. */
    Ledger(Studio studio) {
        this.studio = studio;
        for (List<Item> list : lists(studio)) {
            for (int i = 0; i < list.size(); i++) {
                places.put(list.get(i).key(), i * STEP);
            }
        }
    }

    /** A studio made of placed items, in any order. */
    Ledger(List<Placed> items) {
        this.studio = new Studio(Studio.empty().name(), List.of(), List.of(), List.of());
        apply(items.stream()
                .map(placed -> new Change(placed.item().key(), Optional.empty(), Optional.of(placed)))
                .toList());
        places.putIfAbsent(new Item.OfStudio("").key(), 0.0);
    }

    Studio studio() {
        return studio;
    }

    /** Every item. */
    List<Placed> items() {
        List<Placed> items = new ArrayList<>();
        for (List<Item> list : lists(studio)) {
            list.forEach(item -> items.add(new Placed(item, places.get(item.key()))));
        }
        return items;
    }

    // --- from values to changes --------------------------------------------------------------------------------

    /** Goes over to another value; says which items that changes. */
    List<Change> become(Studio after) {
        List<Change> changes = new ArrayList<>();
        if (!studio.name().equals(after.name())) {
            compare(List.of(new Item.OfStudio(studio.name())), List.of(new Item.OfStudio(after.name())), changes);
        }
        if (studio.devices() != after.devices()) {
            compare(devices(studio), devices(after), changes);
        }
        if (studio.leads() != after.leads()) {
            compare(leads(studio), leads(after), changes);
        }
        if (studio.setups() != after.setups()) {
            compareSetups(after, changes);
        }
        if (studio.practised() != after.practised()) {
            compare(answers(studio), answers(after), changes);
        }
        studio = after;
        return changes;
    }

    private void compareSetups(Studio after, List<Change> changes) {
        compare(setups(studio), setups(after), changes);
        Map<String, Setup> before = new LinkedHashMap<>();
        studio.setups().forEach(setup -> before.put(setup.id(), setup));
        Setup none = Setup.bare("none", "none");
        for (Setup setup : after.setups()) {
            Setup was = before.remove(setup.id());
            compareInside(was == null ? none : was, setup, changes);
        }
        before.values().forEach(gone -> compareInside(gone, none, changes));
    }

    private void compareInside(Setup before, Setup after, List<Change> changes) {
        if (before.takes() != after.takes()) {
            compare(takes(before), takes(after), changes);
        }
        if (before.sessions() != after.sessions()) {
            compare(sessions(before), sessions(after), changes);
        }
    }

    private void compare(List<Item> before, List<Item> after, List<Change> changes) {
        Map<Item.Key, Item> was = new LinkedHashMap<>();
        before.forEach(item -> was.put(item.key(), item));
        Map<Item.Key, Double> placed = placed(after);
        for (Item item : after) {
            Item old = was.remove(item.key());
            Double oldPlace = places.get(item.key());
            Placed now = new Placed(item, placed.get(item.key()));
            if (old == null) {
                changes.add(new Change(item.key(), Optional.empty(), Optional.of(now)));
            } else if (!old.equals(item) || oldPlace != now.place()) {
                changes.add(new Change(item.key(), Optional.of(new Placed(old, oldPlace)), Optional.of(now)));
            }
        }
        was.forEach((key, gone) ->
                changes.add(new Change(key, Optional.of(new Placed(gone, places.remove(key))), Optional.empty())));
        places.putAll(placed);
    }

    /** A place for every item of a list: its old one where that keeps the order, else one between its neighbours. */
    private Map<Item.Key, Double> placed(List<Item> list) {
        Map<Item.Key, Double> placed = new HashMap<>();
        double last = Double.NEGATIVE_INFINITY;
        double[] nextKnown = nextKnown(list);
        for (int i = 0; i < list.size(); i++) {
            Double old = places.get(list.get(i).key());
            double place = old != null && old > last && old < nextKnown[i] ? old : between(last, nextKnown[i]);
            if (!(place > last && place < nextKnown[i])) {
                return renumbered(list);
            }
            placed.put(list.get(i).key(), place);
            last = place;
        }
        return placed;
    }

    /** For each item the smallest old place of those behind it, beyond which it must not go. */
    private double[] nextKnown(List<Item> list) {
        double[] next = new double[list.size()];
        double smallest = Double.POSITIVE_INFINITY;
        for (int i = list.size() - 1; i >= 0; i--) {
            next[i] = smallest;
            Double old = places.get(list.get(i).key());
            smallest = old == null ? smallest : Math.min(smallest, old);
        }
        return next;
    }

    private static double between(double low, double high) {
        if (Double.isInfinite(high)) {
            return Double.isInfinite(low) ? 0 : Math.floor(low) + STEP;
        }
        return Double.isInfinite(low) ? Math.ceil(high) - STEP : low + (high - low) / 2;
    }

    private static Map<Item.Key, Double> renumbered(List<Item> list) {
        Map<Item.Key, Double> placed = new HashMap<>();
        for (int i = 0; i < list.size(); i++) {
            placed.put(list.get(i).key(), i * STEP);
        }
        return placed;
    }

    // --- from changes to values --------------------------------------------------------------------------------

    /** Makes changes; says which studio that gives. */
    Studio apply(List<Change> changes) {
        Map<Item.Key, Item> devices = keyed(devices(studio));
        Map<Item.Key, Item> leads = keyed(leads(studio));
        Map<Item.Key, Item> setups = keyed(setups(studio));
        Map<Item.Key, Item> answers = keyed(answers(studio));
        Map<String, Map<Item.Key, Item>> takes = new HashMap<>();
        Map<String, Map<Item.Key, Item>> sessions = new HashMap<>();
        String name = studio.name();
        for (Change change : changes) {
            String owner = change.key().owner();
            switch (change.key().kind()) {
                case STUDIO -> {
                    name = change.after()
                            .map(placed -> ((Item.OfStudio) placed.item()).name())
                            .orElse(name);
                    change.after().ifPresent(placed -> places.put(change.key(), placed.place()));
                }
                case DEVICE -> put(devices, change);
                case LEAD -> put(leads, change);
                case SETUP -> put(setups, change);
                case ANSWER -> put(answers, change);
                case TAKE -> put(takes.computeIfAbsent(owner, id -> keyed(takes(setup(id)))), change);
                case SITTING -> put(sessions.computeIfAbsent(owner, id -> keyed(sessions(setup(id)))), change);
            }
        }
        List<Setup> changedSetups = ordered(setups, item -> {
            Item.OfSetup known = (Item.OfSetup) item;
            Setup was = setup(known.id());
            return new Setup(
                    known.id(),
                    known.name(),
                    known.wiring(),
                    known.settings(),
                    known.wish(),
                    changed(takes.get(known.id()), was.takes(), take -> ((Item.OfTake) take).take()),
                    known.sessionPlan(),
                    changed(sessions.get(known.id()), was.sessions(), session -> ((Item.OfSession) session).session()));
        });
        studio = new Studio(
                name,
                ordered(devices, item -> ((Item.OfDevice) item).device()),
                ordered(leads, item -> ((Item.OfLead) item).lead()),
                changedSetups,
                ordered(answers, item -> ((Item.OfAnswer) item).answer()));
        return studio;
    }

    private Setup setup(String id) {
        return studio.setup(id).orElse(Setup.bare(id, "none"));
    }

    private void put(Map<Item.Key, Item> items, Change change) {
        if (change.after().isPresent()) {
            items.put(change.key(), change.after().get().item());
            places.put(change.key(), change.after().get().place());
        } else {
            items.remove(change.key());
            places.remove(change.key());
        }
    }

    /** Lists that no change touched stay the very same, so that a later comparison passes over them. */
    private <T> List<T> changed(Map<Item.Key, Item> items, List<T> otherwise, Function<Item, T> value) {
        return items == null ? otherwise : ordered(items, value);
    }

    private <T> List<T> ordered(Map<Item.Key, Item> items, Function<Item, T> value) {
        List<Placed> placed = new ArrayList<>(items.size());
        items.forEach((key, item) -> placed.add(new Placed(item, places.getOrDefault(key, 0.0))));
        placed.sort(Comparator.comparingDouble(Placed::place));
        return placed.stream().map(each -> value.apply(each.item())).toList();
    }

    private static Map<Item.Key, Item> keyed(List<Item> items) {
        Map<Item.Key, Item> keyed = new LinkedHashMap<>();
        items.forEach(item -> keyed.put(item.key(), item));
        return keyed;
    }

    // --- the lists of a studio ---------------------------------------------------------------------------------

    private static List<List<Item>> lists(Studio studio) {
        List<List<Item>> lists = new ArrayList<>();
        lists.add(List.of(new Item.OfStudio(studio.name())));
        lists.add(devices(studio));
        lists.add(leads(studio));
        lists.add(setups(studio));
        lists.add(answers(studio));
        studio.setups().forEach(setup -> {
            lists.add(takes(setup));
            lists.add(sessions(setup));
        });
        return lists;
    }

    private static List<Item> devices(Studio studio) {
        return items(studio.devices(), (Device device) -> new Item.OfDevice(device));
    }

    private static List<Item> leads(Studio studio) {
        return items(studio.leads(), (Lead lead) -> new Item.OfLead(lead));
    }

    private static List<Item> setups(Studio studio) {
        return items(studio.setups(), Item.OfSetup::of);
    }

    private static List<Item> answers(Studio studio) {
        return items(studio.practised(), (Answer answer) -> new Item.OfAnswer(answer));
    }

    private static List<Item> sessions(Setup setup) {
        return items(setup.sessions(), (Session session) -> new Item.OfSession(setup.id(), session));
    }

    private static List<Item> takes(Setup setup) {
        return items(setup.takes(), (Take take) -> new Item.OfTake(setup.id(), take));
    }

    private static <T> List<Item> items(List<T> values, Function<T, Item> item) {
        return values.stream().map(item).toList();
    }
}
