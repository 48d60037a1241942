package kalodyne.core.studio.setup;

import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import kalodyne.core.files.json.Fields;
import kalodyne.core.files.json.JsonForm;
import kalodyne.core.files.json.ObjectForm;
import kalodyne.core.files.json.Words;
import kalodyne.core.route.Also;
import kalodyne.core.route.Budget;
import kalodyne.core.route.Extras;
import kalodyne.core.route.ListeningWish;
import kalodyne.core.route.MonitorPath;
import kalodyne.core.route.Priority;
import kalodyne.core.route.Spending;
import kalodyne.core.route.Stereo;
import kalodyne.core.route.Wish;

/** What is to be recorded; what is left out is as most would have it. */
public final class WishForms {
    private static final Words<String> IDS = new Words<>(id -> id, id -> id);

    public static final ObjectForm<Wish> WISH = ObjectForm.of(f -> new Wish(
            f.list("sources", JsonForm.TEXT, Wish::sources),
            f.textIfAny("target", Wish::target),
            f.value("stereo", Words.of(Stereo.class, Stereo.NO_MATTER), Wish::stereo),
            heard(f),
            extras(f),
            f.value("first", Words.of(Priority.class, Priority.CLEAN), Wish::first),
            f.value("then", Words.of(Priority.class, Priority.CHEAP), Wish::then)));

    private WishForms() {}

    private static ListeningWish heard(Fields<Wish> f) {
        return new ListeningWish(
                Stream.concat(
                                f
                                        .maybe(
                                                "headphones",
                                                JsonForm.TEXT,
                                                it -> it.heard().headphones().stream()
                                                        .findFirst())
                                        .stream(),
                                f
                                        .listIfAny(
                                                "moreHeadphones",
                                                JsonForm.TEXT,
                                                it -> it.heard().headphones().stream()
                                                        .skip(1)
                                                        .toList())
                                        .stream())
                        .filter(mark -> !mark.isEmpty())
                        .toList(),
                f.list("speakers", JsonForm.TEXT, it -> it.heard().speakers()),
                f.value(
                        "through",
                        Words.of(MonitorPath.class, MonitorPath.ANY),
                        it -> it.heard().through()));
    }

    private static Extras extras(Fields<Wish> f) {
        return new Extras(
                f.value("inTempo", JsonForm.FLAG, it -> it.extras().inTempo()),
                f.value("charging", JsonForm.FLAG, it -> it.extras().charging()),
                Set.copyOf(f.list(
                        "also",
                        Words.of(Also.class),
                        it -> new TreeSet<>(it.extras().also()))),
                f.value("beside", JsonForm.FLAG, it -> it.extras().isBeside()),
                f.listIfAny("by", JsonForm.TEXT, it -> it.extras().by()),
                f.value(
                        "budget",
                        Words.of(Budget.class, Budget.ANY),
                        it -> it.extras().budget()),
                new Spending(
                        f.maybeNumber("most", it -> it.extras().spending().most()),
                        f.mapIfAny(
                                "prices",
                                IDS,
                                JsonForm.NUMBER,
                                it -> it.extras().spending().prices())));
    }
}
