package kalodyne.core.gear.shelf;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import kalodyne.core.gear.catalogue.Catalogue;

/**
 * Finds what can be put on the shelf by what people call it. Kinds of that name come first, then names that are about the word
 * ("Electric guitar, single-coil pickups" is about a guitar), then those in which it stands, then what else is known.
 */
public final class GearSearch {
    /** What a find costs: the less, the earlier. Far apart, so that several words do not change places. */
    private static final double KIND = 0;

    private static final double NOUN = 1;

    /** It begins the name, or all of another word for it was said. */
    private static final double HEAD = 1.5;

    private static final double NAME = 2;
    private static final double OTHER_NAME = 3;
    private static final double REST = 6;

    /** On top: it only begins so, it stands in the middle, it was meant and not said, the first meaning before the next. */
    private static final double BEGINS = 0.4;

    private static final double MIDDLE = 5;
    private static final double MEANT = 0.05;

    /** For each word of a lead's name: the plain one comes before the special one. */
    private static final double LENGTH = 0.001;

    /** How much the word counts that is the least at home, against all of them. */
    private static final double WORST = 0.7;

    private static final Pattern MORE = Pattern.compile(",|:| (with|for|from|to|of|on|in|that|without|between) ");

    private final List<Known> all;

    /** An offer with its words, split once. */
    private record Known(
            Offer offer,
            List<String> kind,
            List<String> noun,
            List<String> name,
            List<String> others,
            List<String> rest,
            int order) {
        static Known of(Offer offer, int order) {
            return new Known(
                    offer,
                    both(offer.kind()),
                    offer.isLead() ? List.of() : both(noun(offer.name())),
                    both(offer.name()),
                    offer.words().stream()
                            .flatMap(words -> both(words).stream())
                            .toList(),
                    both(offer.text()),
                    order);
        }

        /** What a name is about: the last word before more is told of it. */
        private static String noun(String name) {
            String about = MORE.split(name, 2)[0];
            return about.substring(about.lastIndexOf(' ') + 1);
        }

        /** "four-pole" is found as two words and as one. */
        private static List<String> both(String text) {
            return Stream.concat(
                            Thesaurus.words(text).stream(),
                            Thesaurus.words(text.replace("-", "").replace("‑", "")).stream())
                    .toList();
        }

        OptionalDouble cost(List<Thesaurus.Said> wanted) {
            double sum = offer.isLead() ? LENGTH * name.size() : 0;
            for (Thesaurus.Said said : wanted) {
                boolean isCalledSo =
                        offer.words().contains(String.join(" ", said.meanings().get(0)));
                double least = isCalledSo ? HEAD : Double.POSITIVE_INFINITY;
                for (int i = 0; i < said.meanings().size(); i++) {
                    DoubleSummaryStatistics costs = said.meanings().get(i).stream()
                            .mapToDouble(this::cost)
                            .summaryStatistics();
                    double cost = Double.isInfinite(costs.getMax())
                            ? costs.getMax()
                            : WORST * costs.getMax() + (1 - WORST) * costs.getAverage();
                    least = Math.min(least, cost + i * MEANT);
                }
                sum += least;
            }
            return Double.isInfinite(sum) ? OptionalDouble.empty() : OptionalDouble.of(sum);
        }

        private double cost(String word) {
            return Stream.of(
                            cost(word, kind, KIND),
                            cost(word, noun, NOUN),
                            cost(word, name.subList(0, Math.min(1, name.size())), HEAD),
                            cost(word, name, NAME),
                            cost(word, others, OTHER_NAME),
                            cost(word, rest, REST))
                    .min(Comparator.naturalOrder())
                    .orElseThrow();
        }

        private static double cost(String word, List<String> words, double place) {
            double least = Double.POSITIVE_INFINITY;
            for (String each : words) {
                double more = each.equals(word)
                        ? 0
                        : word.length() > 1 && each.startsWith(word)
                                ? BEGINS
                                : word.length() > 1 && each.contains(word) ? MIDDLE : Double.POSITIVE_INFINITY;
                least = Math.min(least, place + more);
            }
            return least;
        }
    }

    private GearSearch(List<Offer> offers) {
        List<Known> known = new ArrayList<>();
        offers.forEach(offer -> known.add(Known.of(offer, known.size())));
        all = List.copyOf(known);
    }

    /** Over devices, then leads, in the order in which the catalogue offers them. */
    public static GearSearch of(Catalogue catalogue) {
        return new GearSearch(Stream.concat(
                        catalogue.devices().stream().map(Offer::of),
                        catalogue.leads().stream().map(Offer::ofLead))
                .toList());
    }

    /** Something that was found. */
    private record Hit(Known known, double cost) {
        String group() {
            return known.offer().group();
        }
    }

    /** What is found, likeliest first, what is of one group together; everything for no words. */
    public List<Offer> find(String words) {
        List<Thesaurus.Said> wanted = Thesaurus.read(words);
        List<Hit> hits = all.stream()
                .flatMap(known -> known.cost(wanted).stream().mapToObj(cost -> new Hit(known, cost)))
                .sorted(Comparator.comparingDouble(Hit::cost)
                        .thenComparingInt(hit -> hit.known().order()))
                .toList();
        // Of groups that cost the same the one that the catalogue begins with.
        Map<String, Hit> first = new HashMap<>();
        Map<String, Integer> orders = new HashMap<>();
        for (Hit hit : hits) {
            first.putIfAbsent(hit.group(), hit);
            orders.merge(hit.group(), hit.known().order(), Math::min);
        }
        return hits.stream()
                .sorted(Comparator.comparingDouble(
                                (Hit hit) -> first.get(hit.group()).cost())
                        .thenComparingInt(hit -> orders.get(hit.group())))
                .map(hit -> hit.known().offer())
                .toList();
    }
}
