package kalodyne.core.testing.corpus;

import static kalodyne.core.testing.corpus.Faults.between;
import static kalodyne.core.testing.corpus.Faults.ratio;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Supplier;

/** All made-up takes of a part: each fault alone, faults together, and clean ones. */
public final class Corpus {
    /** Each fault that a take can have by itself, by the code that tells it. */
    public static final List<String> FAULTS = List.of(
            "clip.digital",
            "clip.analogue",
            "saturation",
            "level.low",
            "level.hot",
            "hum.mains",
            "hum.rectifier",
            "hiss",
            "whine.usb",
            "channel.dead",
            "channel.inverted",
            "channel.dual-mono",
            "mono.cancel",
            "dc",
            "dropout",
            "click",
            "agc",
            "rumble",
            "band.limited",
            "noise.gate");

    /** Faults that leave one another audible. */
    private static final Map<Part, Long> SEEDS =
            Map.of(Part.TUNED_ON, 1_000_003L, Part.OTHER_PLAYERS, 7_000_019L, Part.DUOS_IN_A_ROOM, 40_000_003L);

    private static final List<List<String>> TOGETHER = List.of(
            List.of("hum.mains", "clip.analogue"),
            List.of("hiss", "clip.digital"),
            List.of("hum.rectifier", "click"),
            List.of("dc", "rumble"),
            List.of("hum.mains", "hiss"),
            List.of("whine.usb", "dropout"),
            List.of("channel.dead", "hum.mains"),
            List.of("channel.inverted", "hiss"),
            List.of("clip.analogue", "dc"),
            List.of("band.limited", "clip.digital"),
            List.of("hum.mains", "dropout", "dc"),
            List.of("whine.usb", "hum.rectifier"));

    private final Part part;
    /** The parts of the corpus. */
    public enum Part {
        /** The players that thresholds were chosen by. */
        TUNED_ON,
        /** Other players, by the same recipes. */
        OTHER_PLAYERS,
        /** Two of all players at once, in a room, with faults by other recipes; nothing was ever chosen by these. */
        DUOS_IN_A_ROOM
    }

    private final int each;
    private final int clean;

    /**
     * A part of the corpus.
     *
     * @param each how many takes of each single fault, and of each company of faults half as many
     * @param clean how many without any
     */
    public Corpus(Part part, int each, int clean) {
        this.part = part;
        this.each = each;
        this.clean = clean;
    }

    /** Makers of all takes, so that only one need be in memory at a time. */
    public List<Supplier<CorpusTake>> takes() {
        List<Supplier<CorpusTake>> takes = new ArrayList<>();
        for (int i = 0; i < clean; i++) {
            addTake(takes, List.of());
        }
        for (int i = 0; i < each; i++) {
            FAULTS.forEach(fault -> addTake(takes, List.of(fault)));
        }
        for (int i = 0; i < (each + 1) / 2; i++) {
            TOGETHER.forEach(faults -> addTake(takes, faults));
        }
        return takes;
    }

    private void addTake(List<Supplier<CorpusTake>> takes, List<String> faults) {
        long seed = SEEDS.get(part) + 7_919L * takes.size();
        takes.add(() -> new Maker(new Random(seed)).make(faults));
    }

    private final class Maker {
        private final Random random;
        private Set<String> faults;

        Maker(Random random) {
            this.random = random;
        }

        private boolean has(String fault) {
            return faults.contains(fault);
        }

        private boolean hasAny(String... some) {
            return Arrays.stream(some).anyMatch(faults::contains);
        }

        private double some(double low, double high) {
            return between(random, low, high);
        }

        CorpusTake make(List<String> codes) {
            faults = new TreeSet<>(codes);
            List<Instruments> players = Arrays.stream(Instruments.values())
                    .filter(each -> isDuo() || each.isForTuning == (part == Part.TUNED_ON))
                    .filter(this::canShow)
                    .toList();
            Instruments player = players.get(random.nextInt(players.size()));
            Optional<Instruments> second =
                    isDuo() ? Optional.of(players.get(random.nextInt(players.size()))) : Optional.empty();
            double seconds = some(7.5, 10.5);
            boolean pair = hasAny("channel.dead", "channel.inverted", "channel.dual-mono", "mono.cancel")
                    || (player.isStereo && random.nextBoolean());
            List<double[]> channels = pair ? stereo(player, second, seconds) : List.of(phrase(player, second, seconds));
            double peakDb = has("level.low") ? some(-52, -42) : has("level.hot") ? some(-2.2, -0.4) : some(-14, -6.5);
            double floorDb = has("agc")
                    ? some(-70, -64)
                    : has("noise.gate") ? some(-63, -56) : has("level.low") ? some(-100, -94) : some(-88, -78);
            double highest = channels.stream().mapToDouble(Faults::peak).max().orElseThrow();
            channels.forEach(channel -> Faults.scale(channel, 1 / highest));
            channels.forEach(this::onTheWay);
            double after = channels.stream().mapToDouble(Faults::peak).max().orElseThrow();
            List<double[]> recorded = new ArrayList<>();
            double mains = (random.nextBoolean() ? 50 : 60) * some(0.9985, 1.0015);
            for (double[] channel : channels) {
                Faults.scale(channel, ratio(peakDb) / after);
                Faults.addNoise(channel, floorDb, random);
                recorded.add(inTheFile(disturbed(channel, mains), peakDb));
            }
            if (has("channel.dual-mono") && random.nextBoolean()) {
                recorded.set(1, recorded.get(0));
            }
            return new CorpusTake(
                    player + second.map(other -> " and " + other).orElse("") + " " + faults,
                    recorded,
                    Set.copyOf(faults),
                    alsoTrue(player, second));
        }

        /** What may be told besides, since it is so. */
        private Set<String> alsoTrue(Instruments player, Optional<Instruments> second) {
            if (isDriven(player) || second.filter(Maker::isDriven).isPresent()) {
                return Set.of("saturation", "hiss");
            }
            if (hasAny("agc", "noise.gate", "level.low")) {
                return Set.of("hiss", "level.hot");
            }
            return hasAny("clip.digital", "clip.analogue") ? Set.of("dc", "saturation") : Set.of();
        }

        /**
         * Not every player shows every fault: a square wave that is cut is a square wave, a steady tone that saturates is another
         * steady tone, a driven sound is meant, and without pauses nothing tells of what is done in them.
         */
        private boolean canShow(Instruments player) {
            boolean driven = player == Instruments.DRIVEN_GUITAR || player == Instruments.FUZZ;
            boolean hits = player == Instruments.SHAKER || player == Instruments.METRONOME_AND_FLUTE;
            boolean always = player == Instruments.METRONOME_AND_FLUTE
                    || player == Instruments.PAD
                    || player == Instruments.DRUMS;
            boolean square = player == Instruments.SQUARE_LEAD || player == Instruments.PULSE_LEAD;
            boolean steady = player == Instruments.LOW_ORGAN || player == Instruments.REEDS;
            boolean drums = player == Instruments.DRUMS || player == Instruments.DRUM_MACHINE;
            return !(hasAny("clip.analogue", "saturation") && (driven || hits || square))
                    && !(has("saturation") && (steady || drums || player == Instruments.CLOSING_SQUARE))
                    && !(hasAny("agc", "noise.gate") && always);
        }

        private static boolean isDriven(Instruments player) {
            return player == Instruments.DRIVEN_GUITAR || player == Instruments.FUZZ;
        }

        private boolean isDuo() {
            return part == Part.DUOS_IN_A_ROOM;
        }

        private double[] phrase(Instruments player, Optional<Instruments> second, double seconds) {
            double[] played = player.phrase(seconds, random);
            if (second.isPresent()) {
                double[] other = second.get().phrase(seconds, random);
                Faults.scale(other, some(0.4, 1) * Faults.peak(played) / Faults.peak(other));
                for (int i = 0; i < played.length; i++) {
                    played[i] += other[i];
                }
                Faults.inRoom(played, some(0.25, 0.6), random);
            }
            return played;
        }

        /** Two sides that have most in common, or little where they are to cancel. */
        private List<double[]> stereo(Instruments player, Optional<Instruments> second, double seconds) {
            double[] middle = phrase(player, second, seconds);
            double[] side = phrase(player, second, seconds);
            double width =
                    has("mono.cancel") ? some(1.9, 2.4) : has("channel.inverted") ? some(0.05, 0.2) : some(0.3, 0.7);
            Faults.scale(side, Faults.rms(middle, 0, middle.length) / Faults.rms(side, 0, side.length));
            double[] left = middle.clone();
            double[] right = middle.clone();
            for (int i = 0; i < left.length; i++) {
                left[i] += width * side[i];
                right[i] -= width * side[i];
            }
            if (has("channel.dual-mono")) {
                System.arraycopy(left, 0, right, 0, left.length);
            }
            if (has("channel.inverted")) {
                Faults.scale(right, -1);
            }
            if (has("channel.dead")) {
                Faults.scale(random.nextBoolean() ? left : right, 0);
            }
            return List.of(left, right);
        }

        private void onTheWay(double[] channel) {
            if (has("clip.analogue") && Faults.peak(channel) > 0) {
                if (isDuo()) {
                    Faults.cutWithKnee(channel, some(3, 8), random.nextBoolean());
                } else {
                    Faults.cut(channel, some(2.5, 8), random.nextBoolean());
                }
            }
            if (has("saturation")) {
                Faults.saturate(channel, some(2.1, 2.8));
            }
            Phrase.highPass(channel, some(1, 4));
        }

        private double[] disturbed(double[] channel, double mains) {
            if (has("hum.mains")) {
                Faults.addHum(channel, mains, some(-54, -42), random);
            }
            if (has("hum.rectifier")) {
                Faults.addBuzz(channel, mains, some(-58, -46), random);
            }
            if (has("hiss")) {
                Faults.addNoise(channel, some(-58, -46), random);
            }
            if (has("whine.usb")) {
                Faults.addWhine(channel, some(-72, -60), random);
            }
            if (has("rumble")) {
                Faults.addRumble(channel, some(-44, -32), random);
            }
            if (has("agc")) {
                Faults.rideGain(channel, some(0.08, 0.2), some(18, 28), some(0.8, 1.6));
            }
            if (has("noise.gate")) {
                Faults.gate(channel, some(-42, -38), some(0.08, 0.2), random.nextBoolean() ? -200 : -40);
            }
            return has("band.limited")
                    ? Faults.limitBand(channel, random.nextBoolean() ? some(3_300, 3_700) : some(6_500, 8_000), 150)
                    : channel;
        }

        private double[] inTheFile(double[] channel, double peakDb) {
            if (has("dc")) {
                double by = some(0.009, 0.04) * (random.nextBoolean() ? 1 : -1);
                for (int i = 0; i < channel.length; i++) {
                    channel[i] += by;
                }
            }
            if (has("clip.digital")) {
                Faults.scale(channel, ratio(some(2, 8)) / Faults.peak(channel));
            }
            if (has("dropout")) {
                Faults.dropOut(channel, 3 + random.nextInt(5), random);
            }
            if (has("click")) {
                Faults.click(channel, 3 + random.nextInt(5), peakDb - some(2, 14), random);
            }
            return channel;
        }
    }
}
