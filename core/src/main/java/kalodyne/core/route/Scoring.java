package kalodyne.core.route;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.units.Print;

/** How good a way is for what somebody wishes, in points: the fewer the better; each with its reason. */
final class Scoring {
    /** More knobs to set than on others. */
    private static final Set<DeviceKind> MANY_KNOBS = EnumSet.of(DeviceKind.MIXER, DeviceKind.DJ);

    /** What volumes and faders may add beyond their mark. */
    private static final double FINE_TRAVEL_DB = 3;

    /** With less between peak and noise one hears it in quiet music; common practice. */
    private static final double QUIET_DB = 72;

    /** Peaks below this are too low to be raised without hearing what is under them; common practice. */
    private static final double LOW_DBFS = -24;

    static final String KEPT = "left and right stay apart";

    private final Wish wish;
    private final List<Reason> reasons = new ArrayList<>();

    Scoring(
            Wish wish,
            Stock stock,
            List<Way.Strand> strands,
            List<JointRules.Checked> joints,
            List<Missing> missing,
            int sourceChannels) {
        this.wish = wish;
        int channels = strands.stream().mapToInt(Way.Strand::channels).sum();
        faults(joints, strands);
        sides(channels, sourceChannels);
        missing(missing, strands, stock);
        int breaks = strands.stream().mapToInt(Way.Strand::breaks).max().orElse(0);
        add(Weight.BREAK, breaks, breaks + (breaks == 1 ? " break" : " breaks") + " in the line");
        between(strands, stock);
        strands.forEach(this::sound);
        special(strands);
        shared(strands);
    }

    /** No way through these devices has fewer points. */
    static double atLeast(Wish wish, List<String> devices, int breaks, Stock stock) {
        // What somebody wrote down as cheap may cost less than its class.
        boolean isByClass = wish.extras().spending().most().isEmpty();
        return breaks * Weight.BREAK.pointsFor(wish)
                + devices.stream()
                        .filter(id -> isByClass && Missing.is(id))
                        .map(id -> weight(Missing.of(stock.device(id)).price()))
                        .mapToDouble(weight -> weight.pointsFor(wish))
                        .sum()
                + Way.between(devices).size() * Weight.DEVICE.pointsFor(wish)
                + withManyKnobs(devices, stock) * Weight.KNOBS.pointsFor(wish);
    }

    private static int withManyKnobs(List<String> devices, Stock stock) {
        return (int) Way.between(devices).stream()
                .filter(id -> MANY_KNOBS.contains(stock.device(id).kind()))
                .count();
    }

    /** What there is to set up between source and recorder, on the strand with the most. */
    private void between(List<Way.Strand> strands, Stock stock) {
        List<String> most = strands.stream()
                .map(Way.Strand::stations)
                .max(Comparator.comparingInt(
                        devices -> 2 * Way.between(devices).size() + withManyKnobs(devices, stock)))
                .orElseThrow();
        int devices = Way.between(most).size();
        add(
                Weight.DEVICE,
                devices,
                devices == 0
                        ? "nothing to set up between"
                        : devices + (devices == 1 ? " device" : " devices") + " between");
        int knobs = withManyKnobs(most, stock);
        if (knobs > 0) {
            add(Weight.KNOBS, knobs, "many knobs to set");
        }
    }

    /** What has to be pulled out first. */
    void unplugged(List<Plugging> unplugged, Stock stock) {
        int leads = Replugging.together(unplugged, stock::has).size();
        if (leads > 0) {
            add(Weight.UNPLUGGED, leads, leads + (leads == 1 ? " thing pulled out" : " things pulled out"));
        }
    }

    private static Weight weight(Missing.Price price) {
        return switch (price) {
            case A -> Weight.PRICE_A;
            case B -> Weight.PRICE_B;
            case C -> Weight.PRICE_C;
        };
    }

    private void add(Weight weight, double times, String words) {
        reasons.add(Reason.of(weight, words, times, wish));
    }

    /** What was wished beside the recording, and is not there. */
    void sideTasks(Way.MonitorFeed monitoring, List<SideTask> sideTasks) {
        if (!monitoring.isAsWished()) {
            add(Weight.NOT_AS_WISHED, 1, "not heard as wished");
        }
        sideTasks.stream().filter(sideTask -> !sideTask.isDone()).forEach(sideTask -> {
            boolean isDead = sideTask.of() == SideTask.Of.POWER;
            add(
                    isDead ? Weight.DEAD : Weight.NOT_AS_WISHED,
                    1,
                    isDead
                            ? "something is not fed"
                            : Print.withinSentence(sideTask.of().word()) + " not as wished");
        });
    }

    private void faults(List<JointRules.Checked> joints, List<Way.Strand> strands) {
        boolean isTurnedDown = strands.stream()
                .flatMap(strand -> strand.prediction().stream())
                .allMatch(prediction -> prediction.overDb() <= 0);
        // Both sides of a pair have the same fault: it is one.
        Set<Object> known = new HashSet<>();
        for (JointRules.Checked joint : joints) {
            for (Finding finding : joint.findings()) {
                boolean isNew = known.add(List.of(
                        finding.code(), finding.title(), joint.patch().devices().keySet()));
                Optional<Weight> weight = isNew ? weight(finding, isTurnedDown) : Optional.empty();
                weight.ifPresent(each -> add(each, 1, Print.withinSentence(finding.title())));
            }
        }
    }

    private Optional<Weight> weight(Finding finding, boolean isTurnedDown) {
        if (finding.code() == FindingCode.STEREO_ONE_SIDE && wish.stereo() != Stereo.KEEP) {
            return Optional.of(Weight.ONE_SIDE);
        }
        if (finding.code() == FindingCode.BALANCED_HALF && finding.severity() == Severity.WEAK) {
            return Optional.of(Weight.HALF);
        }
        if (finding.code() == FindingCode.LEVEL_OVERLOAD && finding.severity() != Severity.NOTE && isTurnedDown) {
            return Optional.of(Weight.TURNED_DOWN);
        }
        return switch (Faults.of(finding)) {
            case FATAL, WRONG -> Optional.of(Weight.WRONG);
            case CAUTION -> Optional.of(isTurnedDown ? Weight.TURNED_DOWN : Weight.CAUTION);
            case WEAK -> Optional.of(Weight.WEAK);
            case NONE -> Optional.empty();
        };
    }

    private void sides(int channels, int sourceChannels) {
        boolean isLost = channels < sourceChannels;
        String words = channels > 1 ? "all sides kept" : "one channel";
        switch (wish.stereo()) {
            case KEEP -> add(Weight.SIDES_LOST, isLost ? 1 : 0, isLost ? "left and right do not stay apart" : KEPT);
            case NO_MATTER -> add(Weight.MONO, isLost ? 1 : 0, isLost ? "mono" : words);
            case MONO_ENOUGH ->
                add(
                        Weight.MONO,
                        0,
                        isLost ? "mono, as is enough" : channels + (channels == 1 ? " channel" : " channels"));
        }
    }

    private void missing(List<Missing> missing, List<Way.Strand> strands, Stock stock) {
        if (missing.isEmpty()) {
            add(Weight.PRICE_A, 0, "all of it is owned");
        }
        missing.forEach(each -> missing(each, missing.size() + " to get"));
        int sockets = strands.stream()
                .flatMap(strand -> strand.stations().stream())
                .distinct()
                .filter(Missing::is)
                .mapToInt(id -> stock.device(id).sockets().size())
                .sum();
        if (sockets > 0) {
            add(Weight.SOCKET, sockets, missing.size() + " to get");
        }
    }

    /** What takes little of the sum that somebody would spend counts less than its class. */
    private void missing(Missing each, String words) {
        OptionalDouble most = wish.extras().spending().most();
        Weight byClass = weight(each.price());
        double part = each.ownPrice().isPresent() && most.isPresent() && most.getAsDouble() > 0
                ? each.ownPrice().getAsDouble() / most.getAsDouble() * Weight.PRICE_C.points() / byClass.points()
                : 1;
        add(byClass, Math.min(1, part), words);
    }

    /** What comes together on one track cannot be parted any more. */
    private void shared(List<Way.Strand> strands) {
        int tracks = (int) strands.stream()
                .map(strand -> List.of(
                        strand.track().sender(),
                        strand.track().channels(),
                        strand.track().words()))
                .distinct()
                .count();
        if (tracks < strands.size()) {
            add(Weight.SHARED, strands.size() - tracks, "sources share a track");
        }
    }

    /** Only who prefers ordinary leads minds the others. */
    private void special(List<Way.Strand> strands) {
        int special = strands.stream().mapToInt(Way.Strand::specialLeads).sum();
        if (special > 0) {
            add(Weight.SPECIAL, special, special + (special == 1 ? " special lead" : " special leads"));
        }
    }

    private void sound(Way.Strand strand) {
        strand.prediction().ifPresent(prediction -> {
            if (prediction.clips()) {
                String clips = "the loudest peak clips by " + Print.decimal(prediction.overDb(), 0) + " dB";
                add(Weight.CLIPPED, 1, clips);
                add(Weight.CLIPPED_DB, Math.rint(prediction.overDb()), clips);
            }
            if (prediction.fadersAddDb() > FINE_TRAVEL_DB) {
                add(
                        Weight.FADERS,
                        1,
                        "faders have to make " + Print.decimal(prediction.fadersAddDb(), 0) + " dB of gain");
            }
            double low = LOW_DBFS - prediction.peak().dbfs();
            if (low > 0) {
                add(
                        Weight.LOW_DB,
                        low,
                        "the loudest peak is low, at "
                                + Print.decimal(prediction.peak().dbfs(), 0) + " dBFS");
            }
            add(
                    Weight.NOISE_DB,
                    Math.max(0, QUIET_DB - prediction.rangeDb()),
                    "noise " + Print.decimal(prediction.rangeDb(), 0) + " dB under the loudest peak");
        });
    }

    void builtIn() {
        add(Weight.BUILT_IN, 1, "a microphone that is built in");
    }

    /** Where sockets are not made for what goes through them. */
    void sockets(List<Chain> chains, Stock stock) {
        for (Chain chain : chains) {
            Port out = chain.hops().get(0).from();
            if (stock.ports(out.device()).isHeadphonesBesideLines(out)) {
                add(Weight.PHONES_OUT, 1, "from the headphone socket, though there are line outputs");
            }
            int inInstrument = (int) chain.hops().stream()
                    .filter(hop ->
                            hop.from().shape().isStrong() && hop.to().shape().signal() == SignalKind.INSTRUMENT)
                    .count();
            if (inInstrument > 0) {
                add(Weight.LINE_INTO_INSTRUMENT, inInstrument, "a line in an instrument input");
            }
        }
    }

    double score() {
        return reasons.stream().mapToDouble(Reason::points).sum();
    }

    List<Reason> reasons() {
        return List.copyOf(reasons);
    }
}
