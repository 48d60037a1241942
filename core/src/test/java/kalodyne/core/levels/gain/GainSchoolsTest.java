package kalodyne.core.levels.gain;

import static kalodyne.core.testing.Flows.NONE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.joint.Spot;
import kalodyne.core.testing.Flows;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Small rigs in which everybody can work out where the knobs belong, and what is in the way. Aim: −12 to −6 dBFS, its middle −9. */
class GainSchoolsTest {
    private final Flows flows = new Flows();

    private static Wanted by(GainSchool school) {
        return new Wanted(school, Map.of());
    }

    /** What each control adds. */
    private static Map<Spot, Double> exact(Flow flow, Wanted wanted) {
        return GainAdviser.exact(flow, wanted).knobs().stream()
                .collect(Collectors.toMap(Knob::id, knob -> knob.gain().db()));
    }

    /** A voice of −36 dBu, a preamp of up to 70 dB that clips at +24, a mixer's fader and main, full scale at +18 dBu. */
    private Flow mixed() {
        int gain = flows.gain(0, 70);
        int fader = flows.knob(ControlKind.FADER, Flows.linear(-60, 10), 0);
        int main = flows.knob(ControlKind.LEVEL, Flows.linear(-60, 10), 0);
        int voice = flows.sound("Voice", -36, -48, -130, NONE, -1);
        int preamp = flows.stage("Preamp", 0, 24, -128, NONE, gain, Feed.of(voice, 0));
        int channel = flows.stage("Mixer", 0, NONE, NONE, NONE, fader, Feed.of(preamp, 0));
        int out = flows.stage("Mixer", 0, NONE, NONE, -85, main, Feed.of(channel, 0));
        flows.track(18, -95, Feed.of(out, 0));
        return flows.flow();
    }

    /**
     * By hand: +9 dBu must come out, so that all three add 45 dB, and the preamp makes all of it: +9 leave 15 under its ceiling. Who works
     * up stops 2 dB lower in the aim. Who drives goes 3 dB past the ceiling, 63 dB, and takes back 18, or a little less where the faders
     * need not go so far: 16.5 leaves the peak at −7.5 dBFS.
     */
    @ParameterizedTest
    @CsvSource({"STRONG_SOURCE, 45, 0", "WORK_UP, 43, 0", "UNITY, 45, 0", "DRIVE, 63, -16.5"})
    void each_school_makes_its_gain_elsewhere(GainSchool school, double preamp, double mixer) {
        Map<Spot, Double> exact = exact(mixed(), by(school));
        assertThat(exact.get(Flows.knob(0))).isCloseTo(preamp, within(0.01));
        assertThat(exact.get(Flows.knob(1)) + exact.get(Flows.knob(2))).isCloseTo(mixer, within(0.01));
        assertThat(school.title()).isNotBlank();
        assertThat(school.reason()).endsWith(".");
    }

    /** What a hand sets is a quarter hour; the aim is met all the same, nothing clips but what is driven, and nothing better is possible. */
    @ParameterizedTest
    @EnumSource(GainSchool.class)
    void what_a_hand_sets_still_meets_the_aim(GainSchool school) {
        Flow flow = mixed();
        Advised advised = GainAdviser.advise(flow, by(school));
        assertThat(advised.hindrances()).isEmpty();
        FlowLevels levels = FlowLevels.of(advised.followedOn(flow));
        assertThat(levels.isMet(0)).isTrue();
        double over = -levels.headroom(1).orElseThrow().db();
        assertThat(over).isLessThan(school == GainSchool.DRIVE ? 3.01 : 0.01);
        // 0 dB has a mark of its own on the panel.
        advised.positions()
                .forEach((mark, position) -> assertThat(
                                school != GainSchool.DRIVE && !mark.equals(Flows.knob(0))
                                        ? position - 60.0 / 70
                                        : position * 40 - Math.rint(position * 40))
                        .as("%s at %.4f is a quarter hour of ten hours", mark, position)
                        .isCloseTo(0, within(1e-9)));
        assertThat(GainAdviser.advise(advised.followedOn(flow), by(school)).isFollowed())
                .isTrue();
    }

    // --- what is in the way --------------------------------------------------------------------------------------

    private String hindrances(Wanted wanted) {
        return GainAdviser.advise(flows.flow(), wanted).hindrances().stream()
                .map(each -> String.format(
                        Locale.ROOT,
                        "%s at %s by %.1f%s",
                        each.kind(),
                        each.point().spot().part(),
                        each.by().db(),
                        limits(each)))
                .collect(Collectors.joining("; "));
    }

    private static String limits(Hindrance hindrance) {
        return hindrance.limits().isEmpty()
                ? ""
                : hindrance.limits().stream()
                                .map(knob -> knob.id().part())
                                .collect(Collectors.joining(",", " for ", ""))
                        + (hindrance.isByLock() ? " locked" : "");
    }

    /** A source straight into a stage and a track. */
    private void straight(double peak, double lowest, double highest, double ceiling, double fullScale) {
        int gain = flows.gain(lowest, highest);
        int source = flows.sound("Source", peak, peak - 12, peak - 90, NONE, -1);
        int stage = flows.stage("Input", 0, ceiling, -120, NONE, gain, Feed.of(source, 0));
        flows.track(fullScale, -100, Feed.of(stage, 0));
    }

    /**
     * By hand, from the source through the gain to full scale: 0 dBu at least into +4 is −4 dBFS, 2 above −6; −50 dBu with 20 dB into +18
     * is −48, 36 below −12; a stage that clips at −10 gives −28, 16 below; +10 dBu and 0 dB at least are 6 above a ceiling of +4, and with
     * full scale at +19 just within the aim.
     */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            0   | 0   | 40 | 24  | 4  | TOO_HOT_AT_LOWEST at 2 by 2.0 for k0
            -50 | 0   | 20 | 24  | 18 | TOO_QUIET_AT_HIGHEST at 2 by 36.0 for k0
            -40 | 0   | 50 | -10 | 18 | CLIPS_BEFORE_AIM at 1 by 16.0
            10  | 0   | 20 | 4   | 19 | OVERLOADED at 1 by 6.0 for k0
            -20 | 0   | 40 | 24  | 18 |
            """)
    void what_cannot_be_is_named_with_its_number(
            double peak, double lowest, double highest, double ceiling, double fullScale, String expected) {
        straight(peak, lowest, highest, ceiling, fullScale);
        assertThat(hindrances(Wanted.USUAL)).isEqualTo(expected == null ? "" : expected);
    }

    /** Clicks of 0 and 40 dB on −20 dBu into +18: −38 or +2 dBFS; the lower one is 26 dB under the aim, the upper one clips. */
    @Test
    void between_two_clicks_there_is_nothing() {
        int clicks = flows.clicks(0, 40);
        int source = flows.sound("Source", -20, -32, -110, NONE, -1);
        int stage = flows.stage("Input", 0, 30, -120, NONE, clicks, Feed.of(source, 0));
        flows.track(18, -100, Feed.of(stage, 0));
        assertThat(hindrances(Wanted.USUAL)).isEqualTo("BETWEEN_CLICKS at 2 by 26.0");
    }

    /** A gain that is locked at 0 dB: 29 dB are missing, and it is said that the lock is in the way. */
    @Test
    void a_lock_is_told() {
        straight(-35, 0, 60, 24, 18);
        Flow locked = flows.flow().withKnobs(knob -> knob.at(0).locked(true));
        List<Hindrance> hindrances = GainAdviser.advise(locked, Wanted.USUAL).hindrances();
        assertThat(hindrances).singleElement().satisfies(each -> {
            assertThat(each.kind()).isEqualTo(Hindrance.Kind.TOO_QUIET_AT_HIGHEST);
            assertThat(each.by().db()).isCloseTo(41, within(0.01));
            assertThat(each.isByLock()).isTrue();
        });
    }

    /** Of two players on one bus the soft one has 10 dB and needs 25 to be as loud: it stays 15 dB behind. */
    @Test
    void who_cannot_come_up_stays_behind() {
        int soft = flows.knob(ControlKind.GAIN, Flows.linear(0, 10), 0);
        int loud = flows.knob(ControlKind.GAIN, Flows.linear(0, 10), 0);
        int one = flows.sound("Soft", -35, -47, -110, NONE, -1);
        int other = flows.sound("Loud", -10, -22, -110, NONE, -1);
        int first = flows.stage("Mixer", 0, 24, NONE, NONE, soft, Feed.of(one, 0));
        int second = flows.stage("Mixer", 0, 24, NONE, NONE, loud, Feed.of(other, 0));
        int main = flows.knob(ControlKind.LEVEL, Flows.linear(-60, 30), 0);
        int bus = flows.stage("Mixer", 0, 24, NONE, -90, main, Feed.of(first, 0), Feed.of(second, 0));
        flows.track(18, -100, Feed.of(bus, 0));
        Advised advised = GainAdviser.advise(flows.flow(), Wanted.USUAL);
        assertThat(advised.hindrances()).anySatisfy(each -> {
            assertThat(each.kind()).isEqualTo(Hindrance.Kind.OUT_OF_BALANCE);
            assertThat(each.by().db()).isCloseTo(15, within(0.1));
        });
        FlowLevels levels = FlowLevels.of(advised.followedOn(flows.flow()));
        assertThat(levels.isMet(0)).isTrue();
    }

    /** Three players as loud as each other, one wanted 6 dB louder: so they lie on the bus. */
    @ParameterizedTest
    @CsvSource({"0, 0, 0", "6, 0, 0", "0, -4, 3"})
    void players_lie_as_they_are_balanced(double first, double second, double third) {
        double[] peaks = {-40, -20, -5};
        double[] wanted = {first, second, third};
        Feed[] feeds = new Feed[3];
        for (int p = 0; p < 3; p++) {
            int fader = flows.knob(ControlKind.FADER, Flows.linear(-60, 60), 0);
            int source = flows.sound("Player " + p, peaks[p], peaks[p] - 12, -120, NONE, -1);
            feeds[p] = Feed.of(flows.stage("Mixer", 0, NONE, NONE, -95, fader, Feed.of(source, 0)), 0);
        }
        int bus = flows.stage("Mixer", 0, 22, NONE, -90, -1, feeds);
        flows.track(18, -100, Feed.of(bus, 0));
        Map<String, Double> balance = Map.of("Player 0", first, "Player 1", second, "Player 2", third);
        Wanted asked = new Wanted(GainSchool.STRONG_SOURCE, balance);
        Map<Spot, Double> exact = exact(flows.flow(), asked);
        double[] onBus = new double[3];
        for (int p = 0; p < 3; p++) {
            onBus[p] = peaks[p] + exact.get(Flows.knob(p)) - wanted[p];
        }
        double mean = Arrays.stream(onBus).average().orElseThrow();
        for (double each : onBus) {
            assertThat(each).isCloseTo(mean, within(0.05));
        }
    }

    /** Parts that have nothing to do with each other are set apart: the same as each alone. */
    @Test
    void what_hangs_apart_is_set_apart() {
        straight(-30, 0, 60, 24, 18);
        double alone = exact(flows.flow(), Wanted.USUAL).get(Flows.knob(0));
        straight(-10, 0, 60, 24, 18);
        Map<Spot, Double> both = exact(flows.flow(), Wanted.USUAL);
        assertThat(both.get(Flows.knob(0))).isCloseTo(alone, within(1e-6));
        // +9 dBu from −30 and from −10.
        assertThat(alone).isCloseTo(39, within(0.01));
        assertThat(both.get(Flows.knob(1))).isCloseTo(19, within(0.01));
    }

    /** What stands as advised is not touched; what does not is told with both places. */
    @Test
    void the_advice_can_be_read_and_followed() {
        straight(-30, 0, 60, 24, 18);
        Advised advised = GainAdviser.advise(flows.flow(), Wanted.USUAL);
        assertThat(advised.remedy().orElseThrow().words()).matches("Turn (the )?gain 0 on Rack from 7:00 to 1:30");
        assertThat(advised.of(Flows.knob(0)).orElseThrow().position()).isCloseTo(0.65, within(1e-9));
        assertThat(advised.of(Flows.knob(9))).isEmpty();
        Advised again = GainAdviser.advise(advised.followedOn(flows.flow()), Wanted.USUAL);
        assertThat(again.isFollowed()).isTrue();
        assertThat(again.remedy()).isEmpty();
    }
}
