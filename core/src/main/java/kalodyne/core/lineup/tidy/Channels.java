package kalodyne.core.lineup.tidy;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** Which channels of a recording become files of their own. */
@FunctionalInterface
public interface Channels {
    /** The parts of a recording that has so many channels. */
    List<FilePart> parts(int channels);

    /** The same parts of every recording; one that has too few channels does not fit. */
    static Channels named(List<FilePart> parts) {
        List<FilePart> copy = List.copyOf(parts);
        return channels -> copy.isEmpty() ? List.of(FilePart.all(channels)) : copy;
    }

    /** What is usually wanted of a recording, however many channels it has. */
    enum Usual {
        TOGETHER("All channels together"),
        PAIRS("Each pair a file"),
        SINGLE("Each channel a file"),
        MONO("Added up to mono"),
        SWAPPED("Left and right swapped"),
        RIGHT_INVERTED("Right inverted");

        private final String words;

        Usual(String words) {
            this.words = words;
        }

        /** For people. */
        public String words() {
            return words;
        }

        /**
         * The channels that it comes to.
         *
         * @param names of the channels, in order; those beyond are numbered
         */
        public Channels of(List<String> names) {
            List<String> copy = List.copyOf(names);
            return channels -> switch (this) {
                case TOGETHER -> List.of(FilePart.all(channels));
                case PAIRS -> several(channels, 2, copy);
                case SINGLE -> several(channels, 1, copy);
                case MONO -> List.of(new FilePart("", FilePart.all(channels).picks(), channels > 1));
                case SWAPPED -> List.of(swapped(channels));
                case RIGHT_INVERTED -> List.of(inverted(channels));
            };
        }
    }

    private static List<FilePart> several(int channels, int each, List<String> names) {
        if (channels <= each) {
            return List.of(FilePart.all(channels));
        }
        List<FilePart> parts = new ArrayList<>();
        for (int from = 0; from < channels; from += each) {
            int to = Math.min(channels, from + each);
            List<FilePart.Pick> picks = IntStream.range(from, to)
                    .mapToObj(c -> new FilePart.Pick(c, false))
                    .toList();
            parts.add(new FilePart(name(from, to, names), picks, false));
        }
        return parts;
    }

    /** "3-4 bass and drums": the number keeps two of one name apart. */
    private static String name(int from, int to, List<String> names) {
        String numbers = to - from == 1 ? String.valueOf(to) : from + 1 + "-" + to;
        List<String> told = IntStream.range(from, to)
                .filter(c -> c < names.size())
                .mapToObj(names::get)
                .filter(name -> !name.isBlank())
                .distinct()
                .toList();
        return told.isEmpty() ? numbers : numbers + " " + String.join(" and ", told);
    }

    private static FilePart swapped(int channels) {
        List<FilePart.Pick> picks = new ArrayList<>(FilePart.all(channels).picks());
        for (int c = 0; c + 1 < channels; c += 2) {
            picks.set(c, new FilePart.Pick(c + 1, false));
            picks.set(c + 1, new FilePart.Pick(c, false));
        }
        return new FilePart("", picks, false);
    }

    private static FilePart inverted(int channels) {
        return new FilePart(
                "",
                IntStream.range(0, channels)
                        .mapToObj(c -> new FilePart.Pick(c, c % 2 == 1))
                        .toList(),
                false);
    }
}
