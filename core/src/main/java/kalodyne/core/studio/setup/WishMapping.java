package kalodyne.core.studio.setup;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.files.json.JsonPlace;
import kalodyne.core.files.json.Mapping;
import kalodyne.core.route.Also;
import kalodyne.core.route.Budget;
import kalodyne.core.route.Extras;
import kalodyne.core.route.ListeningWish;
import kalodyne.core.route.MonitorPath;
import kalodyne.core.route.Priority;
import kalodyne.core.route.Stereo;
import kalodyne.core.route.Wish;

/** What is to be recorded, as JSON and back; what is left out is as most would have it. */
public final class WishMapping extends Mapping {
    /** A mapping of the wishes in a larger file. */
    public WishMapping(Mapping larger) {
        super(larger);
    }

    /** Puts the wish of a setup, if any, into the setup of a larger file. */
    public static void write(ObjectNode setup, Optional<Wish> wish) {
        wish.ifPresent(each -> setup.set("wish", node(each)));
    }

    private static ObjectNode node(Wish wish) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        ArrayNode sources = node.putArray("sources");
        wish.sources().forEach(sources::add);
        node.put("target", wish.target()).put("stereo", word(wish.stereo()));
        wish.heard().headphones().ifPresent(mark -> node.put("headphones", mark));
        ArrayNode speakers = node.putArray("speakers");
        wish.heard().speakers().forEach(speakers::add);
        node.put("through", word(wish.heard().through()));
        node.put("inTempo", wish.extras().inTempo())
                .put("charging", wish.extras().charging())
                .put("beside", wish.extras().isBeside());
        ArrayNode also = node.putArray("also");
        wish.extras().also().stream().sorted().map(WishMapping::word).forEach(also::add);
        return node.put("budget", word(wish.extras().budget()))
                .put("first", word(wish.first()))
                .put("then", word(wish.then()));
    }

    /** The word under which files know one of several: "few-breaks". */
    public static String word(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The one of several that a word is for. */
    public static <E extends Enum<E>> Optional<E> of(Class<E> kind, String word) {
        return Stream.of(kind.getEnumConstants())
                .filter(each -> word(each).equals(word))
                .findFirst();
    }

    /** The wish of a setup, if it has one that can be read. */
    public Optional<Wish> wish(JsonPlace setup) {
        return setup.has("wish") ? Optional.ofNullable(read(setup.get("wish"))) : Optional.empty();
    }

    private Wish read(JsonPlace place) {
        return build(
                place,
                () -> new Wish(
                        place.texts("sources"),
                        place.text("target"),
                        one(place, "stereo", Stereo.class, Stereo.NO_MATTER),
                        new ListeningWish(
                                Optional.of(place.textOr("headphones", "")).filter(mark -> !mark.isEmpty()),
                                place.texts("speakers"),
                                one(place, "through", MonitorPath.class, MonitorPath.ANY)),
                        new Extras(
                                place.node().path("inTempo").asBoolean(),
                                place.node().path("charging").asBoolean(),
                                place.texts("also").stream()
                                        .flatMap(word -> of(Also.class, word).stream())
                                        .collect(Collectors.toSet()),
                                place.node().path("beside").asBoolean(),
                                one(place, "budget", Budget.class, Budget.ANY)),
                        one(place, "first", Priority.class, Priority.CLEAN),
                        one(place, "then", Priority.class, Priority.CHEAP)));
    }

    private static <E extends Enum<E>> E one(JsonPlace place, String field, Class<E> kind, E otherwise) {
        return of(kind, place.text(field)).orElse(otherwise);
    }
}
