package kalodyne.core.lineup.tidy;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kalodyne.core.files.FileNames;
import kalodyne.core.sound.SampleFormat;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;

/** The gain of each copy, never into clipping, and what it costs. */
final class Levelling {
    private static final double TOLD_DB = 0.05;
    private static final int FEW_BITS = 16;
    /** Two microphones before one player lose as much by chance. */
    private static final double CANCELLING_DB = 3;

    private final TidyPlan plan;
    private final List<Measured> all;

    Levelling(TidyPlan plan, List<Measured> all) {
        this.plan = plan;
        this.all = all;
    }

    /**
     * A draft that was listened to.
     *
     * @param apart how loud its channels are before they are added up; empty where they are not
     */
    record Measured(CopyDraft draft, CopyLevels heard, Optional<CopyLevels> apart) {
        /** What is lost where channels are added up, against channels that have nothing in common. */
        private Optional<String> cancelling() {
            return apart.flatMap(each -> {
                double fair = each.averageDbfs().dbfs()
                        - Gain.ofPowerRatio(draft.part().picks().size()).db();
                double lost = fair - heard.averageDbfs().dbfs();
                return each.peak().isSilence() || lost < CANCELLING_DB
                        ? Optional.empty()
                        : Optional.of("Its channels cancel each other: "
                                + (Double.isInfinite(lost) ? "all" : Print.decimal(lost, 1) + " dB")
                                + " is lost where they are added up. Invert one of them.");
            });
        }
    }

    /**
     * A gain.
     *
     * @param notes what there is to know about it, as sentences
     * @param problem why there is none; empty where there is
     */
    record Levelled(Gain gain, List<String> notes, String problem) {
        Levelled {
            notes = List.copyOf(notes);
        }

        static Levelled impossible(String why) {
            return new Levelled(Gain.NONE, List.of(), why);
        }
    }

    Levelled level(Measured measured) {
        Levelled levelled = bySize(measured);
        List<String> notes = new ArrayList<>();
        measured.cancelling().ifPresent(notes::add);
        notes.addAll(levelled.notes());
        return new Levelled(levelled.gain(), notes, levelled.problem());
    }

    private Levelled bySize(Measured measured) {
        if (measured.heard().peak().isSilence()) {
            return new Levelled(Gain.NONE, List.of("It is silent."), "");
        }
        LevelAim aim = plan.level();
        if (aim instanceof LevelAim.By by) {
            return limited(measured, by.gain(), false);
        }
        if (aim instanceof LevelAim.Peak peak) {
            return limited(
                    measured, new Gain(peak.dbfs() - measured.heard().peak().dbfs()), false);
        }
        if (aim instanceof LevelAim.Loudness loudness) {
            return measured.heard().lufs().isEmpty()
                    ? tooShort()
                    : limited(
                            measured,
                            new Gain(loudness.lufs() - measured.heard().lufs().getAsDouble()),
                            false);
        }
        if (aim instanceof LevelAim.Match match) {
            return match(measured, match);
        }
        return new Levelled(Gain.NONE, List.of(), "");
    }

    private static Levelled tooShort() {
        return new Levelled(Gain.NONE, List.of("It is too short or too soft for its loudness to be told."), "");
    }

    private Levelled match(Measured measured, LevelAim.Match match) {
        Optional<Measured> other = other(measured, match.to());
        if (other.isEmpty()) {
            return Levelled.impossible("There is no part and no file called \"" + match.to() + "\" to match.");
        }
        CopyLevels to = other.get().heard();
        if (other.get().equals(measured)) {
            return new Levelled(Gain.NONE, List.of("The others are matched to it."), "");
        }
        double apart;
        if (match.isByPeak()) {
            apart = to.peak().dbfs() - measured.heard().peak().dbfs();
        } else if (to.lufs().isPresent() && measured.heard().lufs().isPresent()) {
            apart = to.lufs().getAsDouble() - measured.heard().lufs().getAsDouble();
        } else {
            return tooShort();
        }
        return limited(measured, new Gain(apart + match.difference().db()), true);
    }

    /** The part of that name of the same song, else the first of the file of that name. */
    private Optional<Measured> other(Measured measured, String name) {
        CopyDraft draft = measured.draft();
        return all.stream()
                .filter(each -> each.draft().source().equals(draft.source())
                        && each.draft().part().name().equals(name)
                        && each.draft().song().equals(draft.song()))
                .findFirst()
                .or(() -> all.stream()
                        .filter(each -> isCalled(each.draft().source(), name))
                        .findFirst());
    }

    private static boolean isCalled(Path file, String name) {
        String called = file.getFileName().toString();
        return called.equals(name) || FileNames.stem(file).equals(name);
    }

    private Levelled limited(Measured measured, Gain wanted, boolean isMatched) {
        double most = plan.mostDbtp() - measured.heard().truePeak().dbfs();
        boolean isLimited = wanted.db() > most && wanted.db() > 0;
        Gain gain = isLimited ? new Gain(Math.max(0, most)) : wanted;
        List<String> notes = new ArrayList<>();
        if (isLimited && wanted.db() - gain.db() > TOLD_DB) {
            String missing = Print.decimal(wanted.db() - gain.db(), 1);
            notes.add("Only " + Print.signed(gain.db(), 1) + " of " + Print.signed(wanted.db(), 1)
                    + " dB fit below " + Print.decimal(plan.mostDbtp(), 1) + " dBTP"
                    + (isMatched ? "; turn the other down by " + missing + " dB to match." : "."));
        }
        cost(measured, gain).ifPresent(notes::add);
        return new Levelled(gain, notes, "");
    }

    /** What the steps of 16 bits become when they are made louder. */
    private static Optional<String> cost(Measured measured, Gain gain) {
        SampleFormat format = measured.draft().header().format();
        if (format.resolutionBits() > FEW_BITS || gain.db() < TOLD_DB) {
            return Optional.empty();
        }
        DigitalLevel steps =
                DigitalLevel.quantisingNoise(format.resolutionBits()).plus(gain);
        Gain below = measured.heard().averageDbfs().plus(gain).above(steps);
        return Optional.of("The steps of its " + format.resolutionBits() + " bits come up to "
                + Print.decimal(steps.dbfs(), 0) + " dBFS, " + Print.decimal(below.db(), 0)
                + " dB below its average.");
    }
}
