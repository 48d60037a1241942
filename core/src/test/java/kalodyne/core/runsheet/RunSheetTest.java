package kalodyne.core.runsheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import kalodyne.core.findings.Finding;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.Value;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugger;
import kalodyne.core.testing.Plugged;
import kalodyne.core.units.Length;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Whatever is plugged: the order that keeps gear and ears whole. Looked at from outside, by what the steps do. */
class RunSheetTest {
    /** Of each situation what matters there: steps that must follow each other, by what their titles hold; "!" for none. */
    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            S1  | recorder-handheld usb-a-c laptop-combo mic-dynamic-voice xlr-xlr headphones-32 | mic-dynamic-voice > laptop-combo; headphones-32 | | not on the ears < ^XLR < Laptop.*on and unlock < ^USB.*USB 1 < system input < input level 1 < start the safety copy < Stop recording < Listen to the whole take < Name the takes < two other places < Clear the card < Cut top < Line up < ^Levels down < goes off; !Hand.*full battery
            S2  | dj-player laptop-combo usb-a-b rca-rca interface-rca usb-a-c | dj-player > laptop-combo; mixes | KEEP | Laptop.*on < ^USB lead < system input < 2 tracks, armed.*channels 1 and 2.*channels 3 and 4 < Listen to the whole < with-the-talk.*without-the-talk < two other places < same level
            S3  | modular-output-module interface-2 laptop-combo trs-trs*2 usb-a-c speakers-powered*2 trs-xlr*2 | modular-output-module > laptop-combo; speakers-powered+speakers-powered-2 | KEEP | Speakers off < 2 × 6.35 < Modular.*on, on mains < ^USB lead < monitoring in the app < speaker on, level down < its level < gain 1 and gain 2 < monitor level.*slowly < Test take < Speakers down and off < Modular.*off$
            S4  | headset-two-plugs phone-ctia headset-splitter-ctia | headset-two-plugs > phone-ctia | | assistant < ^Headset splitter < Headset socket.*of Phone < meter < Test take
            S5  | mixer-small phone-ctia attenuator-phone 635-plug-35-socket trs-trs | mixer-small > phone-ctia | | assistant < mixer.*fully down < together first < mixer.*on, on < Phone.*on and unlock < automatic level < Test take
            S6  | guitar-single-coil phone-digital ts-ts interface-guitar-usb usb-c-c | guitar-single-coil > phone-digital | | gain fully down < 6.35 mm two-pole < Phone.*on and unlock < ^USB lead < system input < its volume < gain on Guitar < Test take
            S7  | mic-usb phone-digital usb-c-c*2 host-adapter-charging usb-a-c charger-usb | mic-usb > phone-digital; charging | | assistant < charger into the mains < USB charger, Output < USB microphone.*USB → < system input < Test take
            S8  | mic-condenser-large interface-1 phone-ctia xlr-xlr usb-c-c*2 usb-a-c hub-charging power-bank | mic-condenser-large > phone-ctia | | Power bank: charged < 48 V.*: off < ^XLR < interface.*USB → < 48 V.*: on < gain 1 on < Test take < Stop recording < 48 V.*: off < Wait 30 s < goes off
            S9  | mic-dynamic-low.out xlr-xlr preamp-xlr.mic; preamp-xlr.out-xlr xlr-trs mixer-small.line-1; mixer-small.main-left trs-trs interface-2.line-1; interface-2.usb usb-c-c laptop-combo.usb-2 | | | fully down < ^XLR < [Mm]ixer < Switch.*preamp.* on < mixer.*on, on < ^USB < level 1 on < gain on External < gain 1 on Two < Test take; meters; !48 V.*: on
            S10 | mic-dynamic-voice guitar-humbucker interface-2 tablet-digital xlr-xlr ts-ts usb-c-c | mic-dynamic-voice,guitar-humbucker > tablet-digital | | assistant < ^XLR < Tablet.*on < ^USB < system input < 2 tracks, armed < gain 1 < Test take; !48 V.*: on
            S11 | synth-digital interface-4 laptop-combo ts-ts*2 trs-trs*2 usb-a-c | synth-digital > laptop-combo | KEEP | Volume down < 2 × 6.35 mm three < synth.*on, on < ^USB lead < its volume < gain 3 and gain 4 < Test take
            S12 | interface-2 subwoofer speakers-powered*2 laptop-combo synth-analogue ts-ts trs-xlr*2 xlr-xlr*2 usb-c-c | synth-analogue > laptop-combo; subwoofer+speakers-powered+speakers-powered-2 | | Speakers off < → .*ubwoofer < synth.*on, on < ^USB lead < ubwoofer.*on, level down < speaker.*on, level down < gain 1 < Test take < Speakers down and off < synth.*off$ < Unplug the leads
            S13 | piano-digital mic-dynamic-voice interface-4 laptop-combo ts-ts*2 xlr-xlr usb-c-c | piano-digital,mic-dynamic-voice > laptop-combo | KEEP | own speakers off < ^XLR < piano.*on, on < ^USB < 2 tracks, armed < gain 3 and gain 4 < Test take; !48 V.*: on
            S14 | drum-machine interface-2 laptop-combo ts-ts*2 usb-a-c midi-usb midi-din*2 | drum-machine > laptop-combo; tempo | KEEP | Volume down < MIDI out → < Drum machine.*on, on < USB MIDI interface, USB → < Test take
            S15 | mic-condenser-large interface-2 laptop-combo xlr-xlr usb-c-c headphones-80 | mic-condenser-large > laptop-combo; headphones-80; direct | | not on the ears < 48 V.*: off < ^XLR < ^USB < 48 V.*: on < in the app: off < one track, armed < gain 1 < headphones on .* slowly < Test take < off the ears < 48 V.*: off < Wait 30 s < goes off < Unplug
            S15b | mic-dynamic-voice interface-2 laptop-combo xlr-xlr usb-c-c | mic-dynamic-voice > laptop-combo | | 48 V.*: off < ^XLR < Unplug; !48 V.*: on; !^Wait 30
            S16 | wireless-receiver phone-ctia mini-mini mic-trs-trrs | wireless-receiver > phone-ctia | | full battery < assistant < ^3.5 mm three-pole lead with < receiver.*on, on its battery < Headset socket.*of Phone < Test take
            S17 | groovebox phone-ctia mini-mini headset-splitter-ctia attenuator-phone | groovebox > phone-ctia; LEAD | MONO_ENOUGH | Groovebox.*full battery < assistant < Volume down < ^Attenuating < on, on its battery < play the loudest part, its volume up to < Test take
            S18 | guitar-single-coil interface-2 laptop-combo ts-ts usb-a-c-charge usb-c-c | guitar-single-coil > laptop-combo | | gain 1 fully down < 6.35 < Laptop.*on < ^USB < system input < system output < one track < its volume < gain 1 < Test take
            S19 | mixer-small camera-mic-in mini-mini 635-plug-35-socket attenuator-mini | mixer-small > camera-mic-in | KEEP | Camera.*full battery < fully down < together first < mixer.*on < lowest step above zero < Test take < Stop recording < two other places < Clear the card of Camera < Cut top and tail; !armed
            S20 | turntable-mm phono-preamp interface-rca laptop-combo rca-rca-earth rca-rca usb-a-c | turntable-mm > laptop-combo | KEEP | Earth wire → < Turntable.*on < preamp.*on < ^Plug of Two-channel < system input < Test take
            """)
    void what_matters_in_each_situation(String name, String shelf, String wish, String stereo, String expected) {
        SheetRig rig =
                wish == null ? Sheets.rig(Plugged.of(shelf), SessionPlan.USUAL) : Sheets.planned(shelf, wish, stereo);
        RunSheet sheet = SheetMaker.of(rig);
        SafeOrder.check(rig, sheet);
        List<String> titles = sheet.steps().stream()
                .map(step -> step.title()
                        + (step.act() == Act.TAKE
                                        || step.act() == Act.PLUG
                                        || step.act() == Act.CHOOSE
                                        || step.act() == Act.NAME
                                ? "; " + step.detail()
                                : ""))
                .toList();
        for (String part : expected.split("; ", -1)) {
            if (part.startsWith("!")) {
                assertThat(titles).noneMatch(Pattern.compile(part.substring(1)).asPredicate());
            } else {
                int at = -1;
                for (String pattern : part.split(" < ", -1)) {
                    int from = at + 1;
                    Pattern wanted = Pattern.compile(pattern);
                    at = IntStream.range(from, titles.size())
                            .filter(i -> wanted.matcher(titles.get(i)).find())
                            .findFirst()
                            .orElse(-1);
                    assertThat(at)
                            .as("%s: “%s” behind step %d of %s", name, pattern, from, titles)
                            .isNotNegative();
                }
            }
        }
    }

    // --- contradictions ----------------------------------------------------------------------------------------

    /** One switch for two inputs: a condenser on one, a ribbon on the other. It stays off, and the way out is told. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            mic-condenser-large.out xlr-xlr interface-2.mic-1; mic-ribbon-passive.out xlr-xlr interface-2.mic-2 | one after the other
            mic-condenser-large.out xlr-xlr interface-2.mic-1; mic-ribbon-passive.out xlr-xlr interface-2.mic-2; interface-2.phantom=off | one after the other
            """)
    void a_shared_switch_with_two_needs_stops(String plugged, String remedy) {
        Patch patch = Plugged.of(plugged);
        RunSheet sheet = SheetMaker.of(Sheets.rig(patch, SessionPlan.USUAL));
        assertThat(sheet.findings()).extracting(Finding::mark).contains("sheet.phantom-conflict");
        assertThat(sheet.steps()).noneMatch(step -> step.act() == Act.PHANTOM_ON);
        Step stop = sheet.steps().stream()
                .filter(step -> step.act() == Act.STOP)
                .findFirst()
                .orElseThrow();
        assertThat(stop.title()).contains(remedy);
        assertThat(sheet.steps().indexOf(stop)).isLessThan(SafeOrder.first(sheet, Act.PLUG, null));
    }

    /** Reasons that contradict each other are named; the rest keeps its order. */
    @Test
    void a_circle_of_reasons_is_told_and_habits_give_way() {
        List<Step> steps = List.of(step("a"), step("b"), step("c"), step("d"));
        Ordering circle = Ordering.of(
                steps,
                List.of(
                        new Order("a", "b", "", Order.Strength.SAFETY),
                        new Order("b", "a", "", Order.Strength.NEED),
                        new Order("d", "c", "", Order.Strength.SAFETY)));
        assertThat(circle.circles()).hasSize(1);
        assertThat(circle.circles().get(0)).extracting(Step::id).containsExactly("a", "b");
        assertThat(circle.steps()).extracting(Step::id).containsExactly("a", "b", "d", "c");
        Ordering yielding = Ordering.of(
                steps,
                List.of(
                        new Order("a", "b", "", Order.Strength.HABIT),
                        new Order("b", "c", "", Order.Strength.SAFETY),
                        new Order("c", "a", "", Order.Strength.NEED)));
        assertThat(yielding.steps()).extracting(Step::id).containsExactly("b", "c", "a", "d");
        assertThat(yielding.broken()).extracting(Order::before).containsExactly("a");
    }

    private static Step step(String id) {
        return Step.of(id, Section.PLUG, Act.PLUG, id, "");
    }

    // --- what is intended --------------------------------------------------------------------------------------

    @Test
    void what_is_intended_shapes_the_sheet() {
        SheetRig usual = Sheets.planned(
                "drum-machine interface-2 laptop-combo ts-ts*2 usb-a-c", "drum-machine > laptop-combo", "KEEP");
        SessionPlan sessionPlan = SessionPlan.USUAL
                .withMinutes(120)
                .withFree("laptop-combo", Optional.of(1_000_000_000L))
                .withBeatsPerMinute(OptionalDouble.of(118))
                .withPasses(List.of(
                        new SessionPlan.Pass("drum-machine", "Bass"),
                        new SessionPlan.Pass("drum-machine", "Ça va: snare/rim")));
        RunSheet sheet = SheetMaker.of(Sheets.rig(usual.patch(), sessionPlan));
        List<String> takes = sheet.steps().stream()
                .filter(step -> step.act() == Act.TAKE)
                .map(Step::detail)
                .toList();
        assertThat(takes).hasSize(2).allMatch(detail -> detail.contains("118 beats a minute"));
        assertThat(sheet.step("take:2").orElseThrow().tell())
                .as("both passes share what is planned")
                .isEqualTo("1 h");
        assertThat(sheet.step("after:name").orElseThrow().detail())
                .contains("_bass_1.wav")
                .contains("_ca-va-snare-rim_1.wav");
        // 2 channels · 48,000 · 3 bytes · 7200 s = 2.0736 GB; 1 GB lasts 57 min 52 s.
        assertThat(sheet.step("room:laptop-combo").orElseThrow().title()).contains("2.07 GB");
        assertThat(sheet.step("room:laptop-combo").orElseThrow().tell()).isEqualTo("room for 58 min");
        assertThat(sheet.findings()).extracting(Finding::mark).containsExactly("sheet.space-short");
    }

    /**
     * Along the wall 2 m, across 1 m, down 0.8 m and up 0.4 m are 4.2 m, with 15 % to spare 4.83 m: a lead of 3 m is short, one of 5 m
     * is not.
     */
    @Test
    void a_lead_that_does_not_reach_is_told_before_anything_is_plugged() {
        Patch patch = Plugged.of("synth-analogue.out ts-ts interface-4.line-1");
        SessionPlan placed = SessionPlan.USUAL
                .withStanding("synth-analogue", Optional.of(new Standing(0.5, 3, 0.8)))
                .withStanding("interface-4", Optional.of(new Standing(2.5, 2, 0.4)));
        LeadReach reach = LeadReach.all(patch, placed.standings()).get(0);
        assertThat(reach.needed().metres()).isCloseTo(4.83, within(1e-9));
        for (double metres : new double[] {3, 5}) {
            Patch cut = of(patch, metres);
            assertThat(LeadReach.all(cut, placed.standings()).get(0).isShort()).isEqualTo(metres < 4.83);
            assertThat(SheetMaker.of(Sheets.rig(cut, placed)).findings())
                    .filteredOn(finding -> finding.mark().equals("sheet.lead-short"))
                    .hasSize(metres < 4.83 ? 1 : 0)
                    .allSatisfy(finding ->
                            assertThat(finding.remedy().orElseThrow().words()).contains("5 m"));
        }
        // Of what stands nowhere nobody can tell.
        assertThat(LeadReach.all(patch, Map.of("interface-4", new Standing(0, 0, 0))))
                .isEmpty();
    }

    private static Patch of(Patch patch, double metres) {
        Map<String, Lead> leads = new LinkedHashMap<>();
        patch.leads()
                .forEach((mark, lead) -> leads.put(
                        mark,
                        lead.withFacts(lead.facts()
                                .with(
                                        Fact.LENGTH,
                                        new Value<>(
                                                new Length(metres),
                                                Provenance.typical(Provenance.Ground.ESTIMATE, "made up"))))));
        return new Patch(patch.devices(), leads, patch.pluggings(), Set.of(), patch.switched());
    }

    /** The clock follows plugging and power, and comes before any take; 118 beats a minute are a pulse every 21.2 ms. */
    @Test
    void who_beats_time_is_settled_before_the_test_take() {
        Patch patch = Plugged.of(
                "drum-machine.out-left ts-ts interface-4.line-1; drum-machine.out-right ts-ts interface-4.line-2; "
                        + "interface-4.usb usb-a-c laptop-combo.usb-1; interface-4.midi-out midi-din drum-machine.midi-in");
        SessionPlan tempo = SessionPlan.USUAL.withBeatsPerMinute(OptionalDouble.of(118));
        RunSheet sheet = SheetMaker.of(Sheets.rig(patch, tempo));
        List<Step> steps = sheet.steps();
        Step clock = steps.stream()
                .filter(step -> step.id().startsWith("clock:"))
                .findFirst()
                .orElseThrow();
        assertThat(clock.detail()).contains("24 pulses a quarter", "one every 21.2 ms");
        assertThat(steps.indexOf(clock))
                .isGreaterThan(last(steps, Act.PLUG))
                .isLessThan(steps.indexOf(steps.stream()
                        .filter(step -> step.act() == Act.TEST_TAKE)
                        .findFirst()
                        .orElseThrow()));
    }

    private static int last(List<Step> steps, Act act) {
        return steps.stream()
                .filter(step -> step.act() == act)
                .mapToInt(steps::indexOf)
                .max()
                .orElseThrow();
    }

    /** 14.6 ms are as late as from 5.0 m away: 343 m/s. */
    @Test
    void a_round_trip_that_was_measured_is_told_where_monitoring_is_chosen() {
        SheetRig usual = Sheets.planned(
                "drum-machine interface-2 laptop-combo ts-ts*2 usb-a-c", "drum-machine > laptop-combo", "KEEP");
        SessionPlan measured = SessionPlan.USUAL.withRoundTrip(OptionalDouble.of(14.6));
        assertThat(SheetMaker.of(Sheets.rig(usual.patch(), measured)).steps())
                .anySatisfy(step ->
                        assertThat(step.reason()).contains("14.6 ms late, as from 5.0 m away: players feel that."));
        assertThat(SheetMaker.of(usual).steps()).noneMatch(step -> step.reason().contains(" ms late"));
    }

    /** A camera whose battery lasts 2 h does not last for 2 h of recording and the half hour around it. */
    @Test
    void a_battery_that_runs_out_is_told() {
        SheetRig usual = Sheets.planned(
                "mixer-small camera-mic-in mini-mini 635-plug-35-socket attenuator-mini",
                "mixer-small > camera-mic-in",
                null);
        assertThat(SheetMaker.of(Sheets.rig(usual.patch(), SessionPlan.USUAL.withMinutes(120)))
                        .findings())
                .extracting(Finding::mark)
                .contains("sheet.battery-short");
        assertThat(SheetMaker.of(Sheets.rig(usual.patch(), SessionPlan.USUAL.withMinutes(60)))
                        .findings())
                .isEmpty();
        assertThat(usual.devices()).anyMatch(id -> usual.device(id).kind() == DeviceKind.CAMERA);
    }

    @Test
    void nothing_plugged_is_an_empty_sheet() {
        RunSheet sheet = SheetMaker.of(Sheets.rig(new Plugger().patch(), SessionPlan.USUAL));
        assertThat(sheet.steps()).isEmpty();
        assertThat(sheet.findings()).isEmpty();
    }
}
