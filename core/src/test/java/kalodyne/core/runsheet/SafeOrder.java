package kalodyne.core.runsheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import kalodyne.core.findings.Finding;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.levels.Trace;

/** What holds of every sheet, whatever is plugged: the order that keeps gear and ears whole. */
final class SafeOrder {
    private SafeOrder() {}

    static void check(SheetRig rig, RunSheet sheet) {
        assertThat(sheet.steps()).extracting(Step::id).doesNotHaveDuplicates();
        assertThat(sheet.findings()).extracting(Finding::mark).doesNotContain("sheet.contradiction");
        sheet.steps()
                .forEach(step -> assertThat(
                                step.title() + step.detail() + step.reason() + step.tell() + sheet.whyNotEarlier(step))
                        .doesNotContain("null", "NaN", "Optional", "Infinity", "  "));
        plugsAreSafe(rig, sheet);
        powerIsSafe(rig, sheet);
        phantomIsSafe(rig, sheet);
        takesAreSafe(sheet);
        nothingIsMadeUp(rig, sheet);
        tracksAreApart(rig);
        metersComeLast(rig, sheet);
    }

    /** No step is about something that is not there, and none about a battery or a switch of what a lead feeds. */
    private static void nothingIsMadeUp(SheetRig rig, RunSheet sheet) {
        for (Step step : sheet.steps()) {
            assertThat(step.gear())
                    .as(step.title())
                    .allMatch(mark -> rig.patch().devices().containsKey(mark)
                            || rig.patch().leads().containsKey(mark));
            if (step.act() == Act.CHARGE || step.act() == Act.SWITCH_ON) {
                assertThat(step.gear())
                        .as(step.title())
                        .noneMatch(id -> rig.runsOn(id, PowerSource.BUS)
                                && rig.feeding(id).isPresent());
            }
        }
        assertThat(sheet.steps().stream().filter(step -> step.act() == Act.LINE_UP))
                .as("one recording has nothing to be lined up with")
                .hasSizeLessThanOrEqualTo(
                        rig.recording().size() > 1
                                        || sheet.steps().stream()
                                                .anyMatch(step -> step.title().contains("safety copy"))
                                ? 1
                                : 0);
        boolean isRecorded = sheet.steps().stream().anyMatch(step -> step.act() == Act.TAKE);
        assertThat(isRecorded).isEqualTo(!rig.recording().isEmpty());
    }

    /** What is mixed before it is recorded is one track: no channel is armed twice. */
    private static void tracksAreApart(SheetRig rig) {
        for (String recorder : rig.recording()) {
            List<String> armed = rig.recorders().captured(recorder).lines().stream()
                    .flatMap(line -> line.track().channels().stream()
                            .map(channel -> line.track().sender().orElse("") + " " + channel))
                    .toList();
            assertThat(armed).as(recorder).doesNotHaveDuplicates();
        }
    }

    /** Where the meter of a track is read, every other knob on the way to it stands already as it should. */
    private static void metersComeLast(SheetRig rig, RunSheet sheet) {
        for (Trace trace : rig.recorded()) {
            OptionalInt read = IntStream.range(0, sheet.steps().size())
                    .filter(i -> sheet.steps().get(i).run().equals(Optional.of(trace.key()))
                            && sheet.steps().get(i).section() == Section.LEVELS
                            && sheet.steps().get(i).tell().startsWith("meter"))
                    .findFirst();
            read.ifPresent(at -> trace.path().points().stream()
                    .flatMapToInt(point -> rig.advised().flow().points().get(point).knob().stream())
                    .mapToObj(
                            knob -> rig.advised().flow().knobs().get(knob).id().write())
                    .forEach(knob -> assertThat(IntStream.range(
                                            at + 1, sheet.steps().size())
                                    .filter(i -> sheet.steps().get(i).act() == Act.SET_LEVEL)
                                    .filter(i -> List.of(sheet.steps()
                                                    .get(i)
                                                    .id()
                                                    .replaceFirst("^level:", "")
                                                    .split("\\+"))
                                            .contains(knob)))
                            .as("%s is turned after the meter of %s was read", knob, trace.name())
                            .isEmpty()));
        }
    }

    private static int last(RunSheet sheet, Act act, Section section) {
        return IntStream.range(0, sheet.steps().size())
                .filter(i -> is(sheet.steps().get(i), act, section))
                .max()
                .orElse(-1);
    }

    static int first(RunSheet sheet, Act act, Section section) {
        return IntStream.range(0, sheet.steps().size())
                .filter(i -> is(sheet.steps().get(i), act, section))
                .findFirst()
                .orElse(Integer.MAX_VALUE);
    }

    private static boolean is(Step step, Act act, Section section) {
        return step.act() == act && (section == null || step.section() == section);
    }

    /** Every lead that joins something is plugged once, and unplugged once behind that. */
    private static void plugsAreSafe(SheetRig rig, RunSheet sheet) {
        List<String> plugged = new ArrayList<>();
        List<String> unplugged = new ArrayList<>();
        sheet.steps()
                .forEach(step -> step.gear().stream()
                        .filter(rig.patch().leads()::containsKey)
                        .forEach(lead -> {
                            if (step.act() == Act.PLUG) {
                                plugged.add(lead);
                            } else if (step.act() == Act.UNPLUG) {
                                unplugged.add(lead);
                            }
                        }));
        assertThat(plugged).doesNotHaveDuplicates().containsExactlyInAnyOrderElementsOf(unplugged);
        assertThat(last(sheet, Act.PLUG, null)).isLessThan(first(sheet, Act.SET_LEVEL, null));
        assertThat(last(sheet, Act.TURN_DOWN, Section.QUIET)).isLessThan(first(sheet, Act.SWITCH_ON, null));
        assertThat(last(sheet, Act.EARS_OFF, Section.QUIET)).isLessThan(first(sheet, Act.PLUG, null));
    }

    /** Speakers last up and first down; nothing is heard before all is on. */
    private static void powerIsSafe(SheetRig rig, RunSheet sheet) {
        int speakersOn = first(sheet, Act.SWITCH_ON, Section.SPEAKERS);
        if (speakersOn < Integer.MAX_VALUE) {
            for (Act thumping : List.of(Act.PLUG, Act.PHANTOM_ON)) {
                assertThat(last(sheet, thumping, null)).isLessThan(speakersOn);
            }
            assertThat(last(sheet, Act.SWITCH_ON, Section.POWER)).isLessThan(speakersOn);
            int speakersDown = first(sheet, Act.SWITCH_OFF, Section.DOWN);
            assertThat(sheet.steps().get(speakersDown).title()).startsWith("Speakers down");
            assertThat(speakersDown)
                    .isLessThan(first(sheet, Act.UNPLUG, null))
                    .isLessThan(first(sheet, Act.PHANTOM_OFF, null));
            assertThat(first(sheet, Act.SWITCH_OFF, Section.QUIET)).isLessThan(first(sheet, Act.PLUG, null));
        }
        assertThat(last(sheet, Act.SWITCH_ON, null)).isLessThan(first(sheet, Act.SET_LEVEL, null));
        long powered = rig.patch().devices().entrySet().stream()
                .filter(entry -> !rig.runsOn(entry.getKey(), PowerSource.BUS))
                .filter(entry -> entry.getValue().powering().stream()
                        .findFirst()
                        .filter(way -> way.source() == PowerSource.MAINS_EARTHED
                                || way.source() == PowerSource.MAINS_UNEARTHED
                                || way.source() == PowerSource.BATTERY)
                        .isPresent())
                .count();
        assertThat(sheet.steps().stream()
                        .filter(step -> step.act() == Act.SWITCH_ON)
                        .mapToLong(step -> step.gear().size())
                        .sum())
                .isGreaterThanOrEqualTo(powered);
    }

    /** On only once all of its inputs are plugged and never where something is harmed; off and a wait before a plug is pulled. */
    private static void phantomIsSafe(SheetRig rig, RunSheet sheet) {
        int on = first(sheet, Act.PHANTOM_ON, null);
        if (on < Integer.MAX_VALUE) {
            assertThat(first(sheet, Act.PHANTOM_OFF, null)).isLessThan(first(sheet, Act.WAIT, null));
            assertThat(last(sheet, Act.PHANTOM_OFF, null)).isLessThan(first(sheet, Act.WAIT, null));
            assertThat(first(sheet, Act.WAIT, null)).isLessThan(first(sheet, Act.UNPLUG, null));
            sheet.steps().stream()
                    .filter(step -> step.act() == Act.WAIT)
                    .forEach(step -> assertThat(step.pause().orElseThrow()).isPositive());
        }
        for (PhantomSwitch each : rig.phantoms()) {
            Optional<Step> switched = sheet.step(Steps.phantomOn(each.id()));
            switched.filter(step -> step.act() == Act.PHANTOM_ON).ifPresent(step -> {
                assertThat(each.harmed()).isEmpty();
                int at = sheet.steps().indexOf(step);
                each.links()
                        .forEach(link -> assertThat(sheet.steps()
                                        .indexOf(sheet.step(link.id()).orElseThrow()))
                                .isLessThan(at));
            });
            boolean hasRibbon = each.links().stream()
                    .flatMap(link -> link.devices().stream())
                    .anyMatch(id -> rig.device(id)
                            .profile()
                            .filter(id2 -> id2.startsWith("mic-ribbon"))
                            .isPresent());
            assertThat(hasRibbon
                            && switched.filter(step -> step.act() == Act.PHANTOM_ON)
                                    .isPresent())
                    .isFalse();
        }
    }

    private static void takesAreSafe(RunSheet sheet) {
        assertThat(last(sheet, Act.TEST_TAKE, null)).isLessThan(first(sheet, Act.TAKE, null));
        assertThat(last(sheet, Act.TAKE, null)).isLessThan(first(sheet, Act.BACK_UP, null));
        assertThat(last(sheet, Act.BACK_UP, null)).isLessThan(first(sheet, Act.CLEAR, null));
        assertThat(last(sheet, Act.TAKE, null)).isLessThan(first(sheet, Act.FINISH, null));
    }
}
