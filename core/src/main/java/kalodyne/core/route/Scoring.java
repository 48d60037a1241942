package kalodyne.core.route;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.units.Print;

/** How good a way is for what somebody wishes, in points: the fewer the better; each with its reason. */
final class Scoring {
    private static final double WRONG = 60;
    private static final double CAUTION = 25;

    /** What a level control mends has to be thought of each time. */
    private static final double TURNED_DOWN = 10;

    /** Who does not mind mono loses what is played on one side only. */
    private static final double ONE_SIDE = 8;

    /** Half of a balanced signal is 6 dB less, which a gain makes up: nobody hears it. */
    private static final double HALF = 2;

    private static final double DEVICE = 2;

    /** More knobs to set than on others. */
    private static final Set<DeviceKind> MANY_KNOBS = EnumSet.of(DeviceKind.MIXER, DeviceKind.DJ);

    private static final double KNOBS = 1;

    private static final double SOCKET = 0.1;
    private static final double SPECIAL = 2;
    private static final double SHARED = 40;

    /** What clips is lost, however clean the rest is. */
    private static final double CLIPPED = 20;

    private static final double CLIPPED_DB = 3;
    /** Trims make gain; where faders have to, nothing is left for a quieter player; common practice. */
    private static final double NO_RESERVE = 6;

    private static final double FINE_TRAVEL_DB = 3;

    private static final double UNPLUGGED = 0.5;

    /** Who wants left and right apart would rather get something than lose them. */
    private static final double SIDES = 300;

    /** Who does not mind would still rather have both sides. */
    private static final double MONO = 5;

    private static final double WEAK = 8;

    /** What was wished beside the recording is worth something to get for it. */
    private static final double NOT_AS_WISHED = 70;

    /** With less between peak and noise one hears it in quiet music; common practice. */
    private static final double QUIET_DB = 72;

    /** Peaks below this are too low to be raised without hearing what is under them; common practice. */
    private static final double LOW_DBFS = -24;

    /** What counts first counts so much more, and what counts next. */
    private static final double FIRST = 3;

    private static final double THEN = 1.6;

    static final String KEPT = "left and right stay apart";

    private final Wish wish;
    private final List<Reason> reasons = new ArrayList<>();
    private double score;

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
        missing(missing, bulk(strands, stock));
        int breaks = strands.stream().mapToInt(Way.Strand::breaks).max().orElse(0);
        add(
                Reason.Of.BREAKS,
                breaks * weight(Priority.FEW_BREAKS),
                breaks + (breaks == 1 ? " break" : " breaks") + " in the line");
        int devices = strands.stream()
                .mapToInt(strand -> strand.stations().size() - 2)
                .max()
                .orElse(0);
        add(
                Reason.Of.DEVICES,
                strands.stream()
                                .mapToDouble(strand -> between(strand.stations(), stock))
                                .max()
                                .orElse(0)
                        * weight(Priority.QUICK),
                devices == 0
                        ? "nothing to set up between"
                        : devices + (devices == 1 ? " device" : " devices") + " between");
        strands.forEach(this::sound);
        special(strands);
        shared(strands);
    }

    /** No way through these devices has fewer points. */
    static double atLeast(Wish wish, List<String> devices, int breaks, Stock stock) {
        double toGet = devices.stream()
                .filter(Missing::is)
                .mapToDouble(id -> points(Missing.of(stock.device(id)).price()))
                .sum();
        return breaks * weight(wish, Priority.FEW_BREAKS)
                + between(devices, stock) * weight(wish, Priority.QUICK)
                + toGet * weight(wish, Priority.CHEAP);
    }

    /** What there is to set up between source and recorder. */
    private static double between(List<String> devices, Stock stock) {
        return devices.subList(1, devices.size() - 1).stream()
                .mapToDouble(
                        id -> DEVICE + (MANY_KNOBS.contains(stock.device(id).kind()) ? KNOBS : 0))
                .sum();
    }

    /** What has to be pulled out first. */
    void unplugged(List<Plugging> unplugged, Stock stock) {
        int leads = Replugging.together(unplugged, stock::has).size();
        if (leads > 0) {
            add(
                    Reason.Of.UNPLUGS,
                    UNPLUGGED * leads * weight(Priority.QUICK),
                    leads + (leads == 1 ? " thing pulled out" : " things pulled out"));
        }
    }

    private double weight(Priority what) {
        return weight(wish, what);
    }

    private static double weight(Wish wish, Priority what) {
        return wish.first() == what ? FIRST : wish.then() == what ? THEN : 1;
    }

    private static double points(Missing.Price price) {
        return switch (price) {
            case A -> 8;
            case B -> 20;
            case C -> 50;
        };
    }

    private void add(Reason.Of of, double points, String reason) {
        score += points;
        reasons.add(new Reason(of, reason, points));
    }

    /** What was wished beside the recording, and is not there. */
    void sideTasks(Way.MonitorFeed monitoring, List<SideTask> sideTasks) {
        if (!monitoring.isAsWished()) {
            add(Reason.Of.WISHES, NOT_AS_WISHED, "not heard as wished");
        }
        sideTasks.stream().filter(sideTask -> !sideTask.isDone()).forEach(sideTask -> {
            boolean isDead = sideTask.of() == SideTask.Of.POWER;
            add(
                    isDead ? Reason.Of.FAULTS : Reason.Of.WISHES,
                    isDead ? WRONG : NOT_AS_WISHED,
                    isDead
                            ? "something is not fed"
                            : Print.withinSentence(sideTask.of().word()) + " not as wished");
        });
    }

    private void faults(List<JointRules.Checked> joints, List<Way.Strand> strands) {
        boolean isTurnedDown = strands.stream()
                .flatMap(strand -> strand.prediction().stream())
                .allMatch(prediction -> prediction.overDb() <= 0);
        joints.stream().flatMap(joint -> joint.findings().stream()).forEach(finding -> {
            double points = points(finding, isTurnedDown);
            if (points > 0) {
                add(Reason.Of.FAULTS, points, Print.withinSentence(finding.title()));
            }
        });
    }

    private double points(Finding finding, boolean isTurnedDown) {
        if (finding.code() == FindingCode.STEREO_ONE_SIDE && wish.stereo() != Stereo.KEEP) {
            return ONE_SIDE;
        }
        if (finding.code() == FindingCode.BALANCED_HALF && finding.severity() == Severity.WEAK) {
            return HALF * weight(Priority.CLEAN);
        }
        return switch (Faults.of(finding)) {
            case FATAL, WRONG -> WRONG;
            case CAUTION -> isTurnedDown ? TURNED_DOWN : CAUTION;
            case WEAK -> WEAK * weight(Priority.CLEAN);
            case NONE -> 0;
        };
    }

    private void sides(int channels, int sourceChannels) {
        boolean isLost = channels < sourceChannels;
        switch (wish.stereo()) {
            case KEEP -> add(Reason.Of.SIDES, isLost ? SIDES : 0, isLost ? "left and right do not stay apart" : KEPT);
            case NO_MATTER ->
                add(
                        Reason.Of.SIDES,
                        isLost ? MONO : 0,
                        isLost ? "mono" : channels > 1 ? "all sides kept" : "one channel");
            case MONO_ENOUGH ->
                add(
                        Reason.Of.SIDES,
                        0,
                        isLost ? "mono, as is enough" : channels + (channels == 1 ? " channel" : " channels"));
        }
    }

    private void missing(List<Missing> missing, double bulk) {
        double points =
                missing.stream().mapToDouble(each -> points(each.price())).sum() + bulk;
        add(
                Reason.Of.TO_GET,
                points * weight(Priority.CHEAP),
                missing.isEmpty() ? "all of it is owned" : missing.size() + " to get");
    }

    /** Of two that one could get the one with fewer sockets costs less. */
    private static double bulk(List<Way.Strand> strands, Stock stock) {
        return strands.stream()
                .flatMap(strand -> strand.stations().stream())
                .distinct()
                .filter(Missing::is)
                .mapToDouble(id -> SOCKET * stock.device(id).sockets().size())
                .sum();
    }

    /** What comes together on one track cannot be parted any more. */
    private void shared(List<Way.Strand> strands) {
        long tracks = strands.stream()
                .map(strand -> List.of(
                        strand.track().sender(),
                        strand.track().channels(),
                        strand.track().words()))
                .distinct()
                .count();
        if (tracks < strands.size()) {
            add(Reason.Of.SIDES, SHARED * (strands.size() - tracks), "sources share a track");
        }
    }

    /** Only who prefers ordinary leads minds the others. */
    private void special(List<Way.Strand> strands) {
        int special = strands.stream().mapToInt(Way.Strand::specialLeads).sum();
        double points = SPECIAL * special * (weight(Priority.ORDINARY_LEADS) - 1);
        if (points > 0) {
            add(Reason.Of.BREAKS, points, special + (special == 1 ? " special lead" : " special leads"));
        }
    }

    private void sound(Way.Strand strand) {
        strand.prediction().ifPresent(prediction -> {
            double noisy = Math.max(0, QUIET_DB - prediction.rangeDb());
            double low = Math.max(0, LOW_DBFS - prediction.peak().dbfs());
            if (prediction.overDb() > 0.5) {
                add(
                        Reason.Of.SOUND,
                        CLIPPED + CLIPPED_DB * Math.rint(prediction.overDb()),
                        "the loudest peak clips by " + Print.decimal(prediction.overDb(), 0) + " dB");
            }
            if (prediction.fadersAddDb() > FINE_TRAVEL_DB) {
                add(
                        Reason.Of.SOUND,
                        NO_RESERVE * weight(Priority.CLEAN),
                        "faders have to make " + Print.decimal(prediction.fadersAddDb(), 0) + " dB of gain");
            }
            add(
                    Reason.Of.SOUND,
                    (0.5 * noisy + 0.5 * low) * weight(Priority.CLEAN),
                    "noise " + Print.decimal(prediction.rangeDb(), 0) + " dB under the loudest peak");
        });
    }

    double score() {
        return score;
    }

    List<Reason> reasons() {
        return List.copyOf(reasons);
    }
}
