package kalodyne.core.takes;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.BiFunction;
import java.util.function.IntFunction;
import java.util.function.Predicate;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.sound.measure.SoundMeasures;
import kalodyne.core.units.DigitalLevel;

/** All rules on a take by itself, whatever run it came from. */
final class TakeRules {
    private static final List<TakeRule> ALL = List.of(
            new ClippedRule(),
            new FileSizeRule(),
            new UnusableSamplesRule(),
            new SilenceRule(),
            new OverFullScaleRule(),
            new LittleRoomRule(),
            new QuietTakeRule(),
            new DcRule(),
            new AnalogueClipRule(),
            new SaturationRule(),
            new HumRule(),
            new HissRule(),
            new WhineRule(),
            new RumbleRule(),
            new BandLimitRule(),
            new PairRule(),
            new HolesRule(),
            new ClickRule(),
            new GateRule(),
            new AutomaticGainRule());

    private TakeRules() {}

    static List<Finding> check(TakeReport take) {
        return Finding.worstFirst(
                ALL.stream().flatMap(rule -> rule.check(take).stream()).toList());
    }

    /** The findings of a take whose file grew while it was read. */
    static List<Finding> withGrowing(TakeReport take) {
        List<Finding> all = new ArrayList<>(take.findings());
        all.add(finding(
                FindingCode.FILE_GROWING,
                Severity.WEAK,
                whole(take, OptionalInt.empty()),
                new Figure(take.header().seconds(), "s"),
                "The file is still being written",
                "It became longer while it was read; what is told is of the part that was there at first.",
                "Wait until the recorder has finished, then read it again"));
        return Finding.worstFirst(all);
    }

    /** A finding for each channel that something is wrong with. */
    static List<Finding> eachChannel(TakeReport take, Predicate<ChannelReport> isWrong, IntFunction<Finding> finding) {
        return IntStream.range(0, take.channels().size())
                .filter(c -> isWrong.test(take.channels().get(c)))
                .mapToObj(finding)
                .toList();
    }

    /** What there is to say of each channel by what was heard in it. */
    static List<Finding> eachHeard(TakeReport take, BiFunction<Integer, SoundMeasures, Optional<Finding>> finding) {
        return eachFound(take, c -> finding.apply(c, take.channels().get(c).heard()));
    }

    /** What there is to say of each channel. */
    static List<Finding> eachFound(TakeReport take, IntFunction<Optional<Finding>> finding) {
        return IntStream.range(0, take.channels().size())
                .mapToObj(finding)
                .flatMap(Optional::stream)
                .toList();
    }

    /** A mean square as a level re a full-scale sine, as the corridor tells noise. */
    static DigitalLevel level(double power) {
        return DigitalLevel.ofRms(Math.sqrt(power));
    }

    /** "Channel 2" where there are several; nothing to say where there is one. */
    static String inChannel(TakeReport take, int channel) {
        return take.channels().size() == 1 ? "" : " in channel " + (channel + 1);
    }

    /** The middle one of some values; of an even number the lower of the two, of none 0. */
    static double median(DoubleStream values) {
        double[] sorted = values.sorted().toArray();
        return sorted.length == 0 ? 0 : sorted[(sorted.length - 1) / 2];
    }

    static Place whole(TakeReport take, OptionalInt channel) {
        return new Place.Stretch(channel, 0, take.header().seconds());
    }

    static Finding finding(
            FindingCode code, Severity severity, Place place, Figure figure, String title, String text, String remedy) {
        return new Finding(code, severity, place, figure, title, text, Optional.of(Remedy.byHand(remedy)));
    }
}
