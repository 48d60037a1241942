package kalodyne.core.runsheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Collectors;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Switched;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.runsheet.SheetProgress.State;
import kalodyne.core.runsheet.Tick.Outcome;
import kalodyne.core.testing.Plugged;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SheetProgressTest {
    private static final Instant NOW = Instant.parse("2026-03-01T18:00:00Z");
    private static final SheetRig RIG = Sheets.planned(
            "mic-condenser-large interface-2 laptop-combo xlr-xlr usb-c-c headphones-80",
            "mic-condenser-large > laptop-combo; headphones-80",
            null);
    private static final RunSheet SHEET = SheetMaker.of(RIG);

    private static Session begun() {
        return new Session("Session 1", NOW, false, List.of(), Wiring.NONE, Settings.NONE);
    }

    private static Session doneUpTo(Act act) {
        Session session = begun();
        for (Step step : SHEET.steps()) {
            session = session.with(step, Outcome.DONE, NOW);
            if (step.act() == act) {
                return session;
            }
        }
        throw new IllegalArgumentException(act.word());
    }

    private static Step first(Act act) {
        return SHEET.steps().stream()
                .filter(step -> step.act() == act)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void the_first_step_that_is_not_done_is_now() {
        SheetProgress none = SheetProgress.of(SHEET, Optional.empty());
        assertThat(none.now()).contains(SHEET.steps().get(0));
        assertThat(none.done()).isZero();
        SheetProgress some = SheetProgress.of(SHEET, Optional.of(doneUpTo(Act.PHANTOM_ON)));
        int phantom = SHEET.steps().indexOf(first(Act.PHANTOM_ON));
        assertThat(some.now()).contains(SHEET.steps().get(phantom + 1));
        assertThat(some.done())
                .as("what belongs together counts once")
                .isEqualTo(SHEET.tasks()
                                .indexOf(SHEET.taskOf(first(Act.PHANTOM_ON)).orElseThrow())
                        + 1)
                .isLessThan(phantom);
        assertThat(SheetProgress.of(SHEET, Optional.of(doneUpTo(Act.PUT_AWAY))).now())
                .isEmpty();
    }

    /** Somebody pulls the microphone's lead again: what rests on it is to be looked at again, what does not stays done. */
    @Test
    void undoing_a_step_questions_what_rests_on_it() {
        Session done = doneUpTo(Act.PHANTOM_ON);
        Step lead = SHEET.steps().stream()
                .filter(step -> step.title().startsWith("XLR"))
                .findFirst()
                .orElseThrow();
        Step phantom = first(Act.PHANTOM_ON);
        assertThat(SheetProgress.of(SHEET, Optional.of(done)).restingOn(lead)).contains(phantom);
        Session undone = done.with(lead, Outcome.OPEN, NOW);
        SheetProgress progress = SheetProgress.of(SHEET, Optional.of(undone));
        assertThat(progress.of(lead)).isEqualTo(State.NOW);
        assertThat(progress.of(phantom)).isEqualTo(State.AGAIN);
        assertThat(progress.of(first(Act.CHARGE))).isEqualTo(State.DONE);
        assertThat(progress.inTheWay(phantom)).extracting(Order::before).contains(lead.id());
        assertThat(progress.inTheWay(phantom).get(0).strength()).isEqualTo(Order.Strength.SAFETY);
        // Done again, all of it holds again.
        SheetProgress again = SheetProgress.of(SHEET, Optional.of(undone.with(lead, Outcome.DONE, NOW)));
        assertThat(again.of(phantom)).isEqualTo(State.DONE);
    }

    /** What was skipped does not hold up the rest; ticks of steps that are gone stay in the log and harm nothing. */
    @Test
    void skipped_steps_and_steps_of_another_rig() {
        Step charge = first(Act.CHARGE);
        Session session = begun().with(charge, Outcome.SKIPPED, NOW)
                .changing(charge, NOW, tick -> tick.withNote("spare set in the bag"))
                .with(Step.of("plug:of-another-rig", Section.PLUG, Act.PLUG, "Gone", ""), Outcome.DONE, NOW);
        SheetProgress progress = SheetProgress.of(SHEET, Optional.of(session));
        assertThat(progress.of(charge)).isEqualTo(State.SKIPPED);
        assertThat(progress.done()).as("one part is not the whole").isZero();
        assertThat(session.tick(charge.id()).orElseThrow().note()).isEqualTo("spare set in the bag");
        assertThat(session.ticks()).hasSize(2);
    }

    /**
     * A second time: the lead is another one, a knob stands elsewhere, the rest is as it was. Left out is what stays as it was left; every
     * step that guards ears, speakers and microphones is there, and so is what a short form left out before and now differs.
     */
    @Test
    void the_short_form_has_what_differs_and_every_step_of_safety() {
        Session first = doneUpTo(Act.PUT_AWAY).over();
        RunSheet again = SHEET.shortAfter(List.of(first));
        Set<Act> left = again.steps().stream().map(Step::act).collect(Collectors.toSet());
        assertThat(left)
                .contains(Act.EARS_OFF, Act.TURN_DOWN, Act.PLUG, Act.PHANTOM_ON, Act.TEST_TAKE, Act.BACK_UP, Act.WAIT)
                .doesNotContain(Act.CHOOSE, Act.TRIM);
        assertThat(again.tasks()).extracting(Task::title).contains("Plug as last time", "Set as last time");
        assertThat(again.orders()).allSatisfy(order -> {
            assertThat(again.step(order.before())).isPresent();
            assertThat(again.step(order.after())).isPresent();
        });
        Step input = first(Act.CHOOSE);
        Session other = first.with(input.withTitle("something else"), Outcome.DONE, NOW);
        assertThat(SHEET.shortAfter(List.of(other)).step(input.id())).contains(input);
        // The second time went by the short form: what it left out is still known.
        Session second = new Session(
                "Session 2",
                NOW,
                true,
                again.steps().stream()
                        .map(step -> new Tick(step.id(), step.title(), Outcome.DONE, NOW, "", List.of()))
                        .toList(),
                Wiring.NONE,
                Settings.NONE);
        assertThat(SHEET.shortAfter(List.of(first, second)).steps())
                .extracting(Step::id)
                .isEqualTo(again.steps().stream().map(Step::id).toList());
    }

    /** The clock on the wall is set an hour back, and a day forward: a wait does not care. */
    @Test
    void a_countdown_goes_by_no_clock() {
        AtomicLong nanos = new AtomicLong(Long.MAX_VALUE - 5_000_000_000L);
        Countdown wait = new Countdown(Duration.ofSeconds(30), nanos::get);
        assertThat(wait.left()).isEqualTo(Duration.ofSeconds(30));
        // The counter may pass its highest number.
        nanos.addAndGet(20_000_000_000L);
        assertThat(wait.left()).isEqualTo(Duration.ofSeconds(10));
        assertThat(wait.isOver()).isFalse();
        nanos.addAndGet(15_000_000_000L);
        assertThat(wait.left()).isZero();
        assertThat(wait.isOver()).isTrue();
    }

    // --- searches ----------------------------------------------------------------------------------------------

    /** A gain that stands shut is found at the interface; a synth that is off at its head. */
    @ParameterizedTest
    @CsvSource({"0, Switch it on", "1, Turn gain 3", "2, arm it"})
    void a_signal_is_looked_for_from_the_source_onward(int yes, String cause) {
        SheetRig rig = Sheets.rig(
                Plugged.of("synth-analogue.out ts-ts interface-4.line-3; interface-4.usb usb-c-c laptop-combo.usb-2"),
                SessionPlan.USUAL);
        Step level = SheetMaker.of(rig).steps().stream()
                .filter(step -> step.symptoms().contains(Symptom.NO_SIGNAL)
                        && step.run().isPresent())
                .findFirst()
                .orElseThrow();
        FaultSearch search = new Searches(rig).of(level, Symptom.NO_SIGNAL);
        for (int i = 0; i < yes; i++) {
            search = search.answered(true);
        }
        FaultSearch.Probe asked = search.asked().orElseThrow();
        FaultSearch found = search.answered(false);
        assertThat(found.asked()).isEmpty();
        assertThat(found.found()).contains(asked);
        assertThat(String.join("\n", asked.causes())).contains(cause);
        assertThat(found.back().asked()).contains(asked);
        assertThat(found.answered(true)).isEqualTo(found);
    }

    /** Every symptom of every step leads somewhere, and ends. */
    @Test
    void every_symptom_has_a_search_that_ends() {
        Searches searches = new Searches(RIG);
        for (Step step : SHEET.steps()) {
            for (Symptom symptom : Symptom.values()) {
                FaultSearch search = searches.of(step, symptom);
                assertThat(search.probes()).isNotEmpty().allSatisfy(probe -> {
                    assertThat(probe.causes()).isNotEmpty();
                    assertThat(probe.question() + probe.expected() + probe.causes())
                            .doesNotContain("null", "NaN", "Optional", "Infinity");
                });
                for (int i = 0; i < search.probes().size(); i++) {
                    assertThat(search.asked()).isPresent();
                    search = search.answered(true);
                }
                assertThat(search.asked()).isEmpty();
                assertThat(search.found()).isEmpty();
            }
        }
    }

    // --- recall ------------------------------------------------------------------------------------------------

    @Test
    void what_changed_is_told_as_steps_back() {
        var patch = Plugged.of("synth-analogue.out ts-ts interface-4.line-3");
        String lead = patch.leads().keySet().iterator().next();
        Spot gain = Spot.read("interface-4.gain-3");
        Spot phantom = Spot.read("interface-4.phantom");
        Wiring then = new Wiring(patch.pluggings(), List.of(new Switched(phantom, "off")));
        Plugging moved = patch.pluggings().stream()
                .filter(plugging -> plugging.socket().item().equals("interface-4"))
                .findFirst()
                .orElseThrow();
        Wiring now = then.unplugged(List.of(moved))
                .plugging(List.of(new Plugging(moved.plug(), Spot.read("interface-4.line-4"))))
                .with(new Switched(phantom, "on"));
        Recall recall = Recall.between(
                RigSnapshot.of(then, Settings.NONE.turned(Map.of(gain, 0.5))),
                RigSnapshot.of(now, Settings.NONE.turned(Map.of(gain, 0.35))),
                new SpotWords(
                        id -> Optional.ofNullable(patch.devices().get(id)),
                        id -> Optional.ofNullable(patch.leads().get(lead))));
        assertThat(recall.differences())
                .extracting(Recall.Difference::back)
                .satisfiesExactly(
                        plug -> assertThat(plug)
                                .startsWith("Plug ")
                                .contains("Line in 3, not Four-input interface, Line in 4"),
                        off -> assertThat(off).startsWith("Set ").endsWith(" to off"),
                        knob -> assertThat(knob).isEqualTo("Turn Four-input interface, gain 3 to 12:00"));
        assertThat(Recall.between(
                                RigSnapshot.of(then, Settings.NONE),
                                RigSnapshot.of(then, Settings.NONE),
                                new SpotWords(id -> Optional.empty(), id -> Optional.empty()))
                        .differences())
                .isEmpty();
    }
}
