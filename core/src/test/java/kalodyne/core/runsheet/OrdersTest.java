package kalodyne.core.runsheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.testing.Plugged;
import kalodyne.core.testing.Wordings;
import org.junit.jupiter.api.Test;

/** Why steps stand in their order, how long things last for what is planned, and what is kept of a session. */
class OrdersTest {
    /**
     * Rigs, and each kind of order the first time that it is met, as practitioners give the reason; then what lasts how long, by the
     * sums of {@link kalodyne.core.sums}: half an hour of one track at 48 kHz and 24 bits is 48,000 · 3 · 1,800 bytes.
     */
    private static final String BOOK = """
            mic-condenser-large interface-1 phone-ctia xlr-xlr usb-c-c*2 usb-a-c hub-charging power-bank | mic-condenser-large > phone-ctia |
            back up after name, need: Under its name it is found again.
            check after finish, need: What is still being written cannot be listened to.
            choose after plug, need: A device is in the list only when it is on.
            choose after switch on, need: Phone with a four-pole headset socket must be on for it.
            finish after back up, habit: A take that is checked first can be made again.
            finish after check, habit: A take that is checked first can be made again.
            finish after finish, habit: A take that is checked first can be made again.
            finish after name, habit: A take that is checked first can be made again.
            finish after take, need: First the take.
            finish after trim, habit: A take that is checked first can be made again.
            name after check, need: Only what is worth keeping gets a name.
            phantom off after finish, need: The pop would be in the take.
            phantom on after plug, need: One-input interface, bus powered gives it only when it is on.
            phantom on after plug, safety: First connect, then phantom power: a plug that goes in with it on gets up to 48 V on one leg.
            phantom on after turn down, safety: It pops when it comes on.
            plug after charge, habit: What is missing shows now, not mid-take.
            plug after lay ready, habit: What is missing shows now, not mid-take.
            plug after make room, habit: What is missing shows now, not mid-take.
            plug after plug, habit: A plug that slides in touches the wrong contacts for a moment. Without power that does no harm.
            plug after plug, need: USB-C hub with a charging socket feeds it.
            plug after set switch, safety: Never plug with phantom power on.
            plug after turn down, habit: A plug that goes in crackles, and every gain behind it makes that louder.
            put away after unplug, need: Only what is unplugged can be put away.
            set level after choose, need: Meters show what is chosen, nothing else.
            set level after phantom on, need: Without it the microphone gives nothing.
            set level after plug, need: Only what is plugged can be heard.
            set level after set switch, need: Levels come up from nothing, so that nothing surprises.
            set level after silence, need: Levels come up from nothing, so that nothing surprises.
            set level after switch on, need: Nothing is heard or seen before it is on.
            set level after turn down, need: Levels come up from nothing, so that nothing surprises.
            switch off after finish, need: What loses power while it records breaks the file.
            switch on after plug, habit: What receives the sound comes on after what makes it: the thump stays in the lead.
            switch on after turn down, safety: What is switched on with its level up starts loud.
            take after charge, need: A take that ends early is lost.
            take after choose, need: Meters show what is chosen, nothing else.
            take after make room, need: A take that ends early is lost.
            take after phantom on, need: Without it the microphone gives nothing.
            take after plug, need: Only what is plugged can be heard.
            take after switch on, need: Nothing is heard or seen before it is on.
            take after test take, need: The test take says whether it will be clean.
            test take after choose, need: Meters show what is chosen, nothing else.
            test take after phantom on, need: Without it the microphone gives nothing.
            test take after plug, need: Only what is plugged can be heard.
            test take after set level, need: It tests the levels as they will be.
            test take after switch on, need: Nothing is heard or seen before it is on.
            trim after back up, safety: What is cut or cleared without a copy is gone.
            trim after finish, need: What is still being written cannot be copied or cut.
            unplug after finish, need: What is pulled while it still records breaks the file.
            unplug after switch off, habit: A plug that is pulled out of gear without power does no harm.
            unplug after switch off, habit: What receives the sound goes off before what makes it.
            unplug after unplug, habit: A plug that is pulled out of gear without power does no harm.
            unplug after wait, safety: Never pull a lead with phantom power on, nor before it has faded.
            wait after phantom off, need: It fades only after the switch.
            lasts Phone with a four-pole headset socket: 259 MB for 30 min at 48 kHz, 24 bits, 1 channel
            lasts Phone with a four-pole headset socket: battery lasts 6 h
            lasts USB-C hub with a charging socket: 350 mA drawn of 900 mA
            lasts Power bank: 3 A drawn of 3 A
            22 steps, about 11 min until the first take

            drum-machine interface-2 laptop-combo ts-ts*2 usb-a-c midi-usb midi-din*2 speakers-powered*2 trs-xlr*2 | drum-machine > laptop-combo; tempo; speakers-powered+speakers-powered-2 | KEEP
            choose after plug, need: The clock goes through this lead.
            choose after switch on, need: Drum machine, stereo outputs and MIDI must be on for it.
            choose after switch on, need: Laptop with one combined headset socket must be on for it.
            listen after plug, need: Nothing is heard before it is on.
            listen after set level, habit: What is recorded is set first; what is heard follows it.
            listen after switch on, need: Nothing is heard before it is on.
            plug after switch off, safety: A plug that goes in with the speakers on thumps through them.
            plug after switch on, habit: What receives the sound comes on after what makes it: the thump stays in the lead.
            plug after switch on, need: Laptop with one combined headset socket feeds it.
            set level after set level, habit: What stands before it in the line is set first: it changes what arrives here.
            switch off after finish, habit: First the take is safe.
            switch off after switch off, safety: Switches and plugs thump through speakers that are on.
            switch off after unplug, habit: What receives the sound goes off before what makes it.
            switch on after choose, safety: Open speakers and an open input howl: monitoring is settled before they are on.
            switch on after plug, habit: A plug that slides in touches the wrong contacts for a moment. Without power that does no harm.
            switch on after plug, safety: A plug that goes in thumps through speakers that are on.
            switch on after switch off, safety: Gear that is switched on thumps through speakers that are on.
            switch on after switch on, safety: Every switch before them makes a thump that they would play.
            take after choose, need: What is out of step stays so.
            test take after choose, need: What is out of step stays so.
            test take after listen, need: It tests the levels as they will be.
            unplug after switch off, safety: Switches and plugs thump through speakers that are on.
            lasts Laptop with one combined headset socket: 518 MB for 30 min at 48 kHz, 24 bits, 2 channels
            lasts Laptop with one combined headset socket: battery lasts 6 h
            lasts Laptop with one combined headset socket: 480 mA drawn of 900 mA
            lasts Laptop with one combined headset socket: 50 mA drawn of 1.5 A
            21 steps, about 14 min until the first take

            mic-dynamic-voice.out xlr-xlr recorder-handheld.mic-1
            choose after switch on, need: Hand-held recorder with two XLR inputs must be on for it.
            clear after back up, safety: What is cut or cleared without a copy is gone.
            clear after finish, need: What is still being written cannot be copied or cut.
            finish after clear, habit: A take that is checked first can be made again.
            lasts Hand-held recorder with two XLR inputs: 259 MB for 30 min at 48 kHz, 24 bits, 1 channel
            lasts Hand-held recorder with two XLR inputs: battery lasts 8 h
            17 steps, about 7 min until the first take

            mic-dynamic-voice.out xlr-xlr interface-2.mic-1; interface-2.out-1 trs-xlr speakers-powered.in-xlr; headphones-80.plug interface-2.phones; interface-2.direct=on; interface-2.usb usb-c-c laptop-combo.usb-2
            ears off after finish, habit: The take is heard to its end.
            listen after test take, safety: While a microphone is open the speakers stay down: a take is played on them, not the microphone.
            plug after ears off, safety: Pops from plugs and switches hurt ears.
            plug after plug, habit: Ears come last.
            switch off after ears off, safety: Pops from plugs and switches hurt ears.
            switch on after ears off, safety: Pops from plugs and switches hurt ears.
            take after listen, habit: The take is listened to on them.
            unplug after ears off, safety: Pops from plugs and switches hurt ears.
            lasts Laptop with one combined headset socket: 259 MB for 30 min at 48 kHz, 24 bits, 1 channel
            lasts Laptop with one combined headset socket: battery lasts 6 h
            lasts Laptop with one combined headset socket: 480 mA drawn of 1.5 A
            24 steps, about 13 min until the first take

            turntable-mm phono-preamp interface-rca laptop-combo rca-rca-earth rca-rca usb-a-c amplifier-hifi | turntable-mm > laptop-combo | KEEP
            plug after plug, habit: Without the ground wire the first touch hums loudly.
            switch off after switch off, habit: What receives the sound goes off before what makes it.
            switch on after switch on, habit: What receives the sound comes on after what makes it: the thump stays in the lead.
            lasts Laptop with one combined headset socket: 346 MB for 30 min at 48 kHz, 16 bits, 2 channels
            lasts Laptop with one combined headset socket: battery lasts 6 h
            lasts Laptop with one combined headset socket: 100 mA drawn of 900 mA
            17 steps, about 9 min until the first take
            """;

    @Test
    void every_order_has_its_reason() {
        Set<String> told = new HashSet<>();
        Wordings.read(BOOK).forEach(rig -> {
            RunSheet sheet = SheetMaker.of(StepBook.rig(rig.get(0)));
            List<String> said = new ArrayList<>(sheet.orders().stream()
                    .map(order -> words(sheet, order))
                    .distinct()
                    .sorted()
                    .filter(told::add)
                    .toList());
            sheet.lasting()
                    .forEach(each -> said.add(
                            "lasts " + each.what() + ": " + each.words() + (each.isEnough() ? "" : ", not enough")));
            said.add(sheet.summary());
            assertThat(said).as(rig.get(0)).containsExactly(rig.get(1).split("\n", -1));
        });
    }

    private static String words(RunSheet sheet, Order order) {
        return sheet.step(order.after()).orElseThrow().act().word() + " after "
                + sheet.step(order.before()).orElseThrow().act().word() + ", "
                + order.strength().word() + ": " + order.why();
    }

    /** A card of 200 MB holds 1,389 s of one track at 24 bits; at 96 kHz half of that. */
    @Test
    void what_does_not_last_is_told() {
        String rig = "mic-dynamic-voice.out xlr-xlr recorder-handheld.mic-1";
        SessionPlan small = SessionPlan.USUAL.withFreeBytes(Map.of("recorder-handheld", 200_000_000L));
        assertThat(lasting(rig, small))
                .contains("23 min at 48 kHz, 24 bits, 1 channel, not enough")
                .contains("battery lasts 8 h, enough");
        assertThat(lasting(rig, small.withSampleRateHz(OptionalInt.of(96_000))))
                .contains("12 min at 96 kHz, 24 bits, 1 channel, not enough");
        assertThat(lasting(rig, small.withMinutes(20))).contains("23 min at 48 kHz, 24 bits, 1 channel, enough");
        assertThat(lasting(rig, SessionPlan.USUAL.withMinutes(8 * 60)))
                .as("half an hour more than is recorded")
                .contains("battery lasts 8 h, not enough");
    }

    private static List<String> lasting(String plugged, SessionPlan plan) {
        return RunTimes.all(Sheets.rig(Plugged.of(plugged), plan)).stream()
                .map(each -> each.words() + (each.isEnough() ? ", enough" : ", not enough"))
                .toList();
    }

    @Test
    void a_session_keeps_what_was_done_and_noticed() {
        RunSheet sheet = SheetMaker.of(StepBook.rig("mic-dynamic-voice.out xlr-xlr recorder-handheld.mic-1"));
        Step first = sheet.steps().get(0);
        Step second = sheet.steps().get(1);
        Instant begun = Instant.parse("2026-03-01T12:00:00Z");
        Session session = new Session("Session 1", begun, false, List.of(), Wiring.NONE, Settings.NONE)
                .with(first, Tick.Outcome.DONE, begun.plusSeconds(5))
                .with(second, Tick.Outcome.SKIPPED, begun.plusSeconds(9))
                .changing(
                        first,
                        begun.plusSeconds(20),
                        tick -> tick.noticing(Symptom.HUM).noticing(Symptom.HUM).noticing(Symptom.NO_SIGNAL));
        Tick tick = session.tick(first.id()).orElseThrow();
        assertThat(tick.title()).isEqualTo("Lay ready: XLR lead");
        assertThat(tick.at()).isEqualTo(begun.plusSeconds(5));
        assertThat(tick.isOver()).isTrue();
        assertThat(tick.noticed()).containsExactly(Symptom.NO_SIGNAL, Symptom.HUM);
        assertThat(tick.note()).isEqualTo("Noticed: It hums\nNoticed: No signal");
        assertThat(tick.withNote(tick.note() + "\nonly on the left").ownNote()).isEqualTo("only on the left");
        Session again = session.with(first, Tick.Outcome.OPEN, begun.plusSeconds(30));
        assertThat(again.ticks()).extracting(Tick::step).containsExactly(second.id(), first.id());
        assertThat(again.tick(first.id()).orElseThrow().isOver()).isFalse();
        assertThat(again.tick(first.id()).orElseThrow().note())
                .as("what was noted stays")
                .isEqualTo(tick.note());
        Step third = sheet.steps().get(2);
        assertThat(again.changing(third, begun, each -> each.noticing(Symptom.HOWL))
                        .tick(third.id())
                        .orElseThrow())
                .returns(Tick.Outcome.OPEN, Tick::outcome)
                .returns("Noticed: It howls", Tick::note);
        assertThat(session.over().isOver()).isTrue();
        assertThat(session.stand().wiring()).contains(Wiring.NONE);
        assertThat(Stream.of(Tick.Outcome.values()).map(Tick.Outcome::word)).containsExactly("done", "skipped", "open");
    }
}
