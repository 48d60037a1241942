package kalodyne.core.studio.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.runsheet.PatchList;
import kalodyne.core.runsheet.SpotWords;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.Take;
import kalodyne.core.testing.Plugged;
import org.junit.jupiter.api.Test;

/** What a spreadsheet gets: a line a lead's end, a line a take; texts with commas, quotes and line breaks after RFC 4180. */
class SetupTablesTest {
    @Test
    void each_end_of_a_lead_is_a_line() {
        Patch patch = Plugged.of("synth-analogue.out ts-ts interface-2.line-1;"
                + " drum-machine.out-left ts-ts interface-4.line-3; groovebox.out mini-2ts#1.a; mini-2ts#1.b interface-4.line-1;"
                + " mini-2ts#1.c interface-4.line-2");
        String table = SetupTables.patch(PatchList.of(patch, JointRules.check(patch)));
        List<String> lines = table.lines().toList();
        assertThat(lines.get(0)).isEqualTo("number,lead,colour,side,from device,from socket,to device,to socket");
        assertThat(lines)
                .hasSize(5)
                .anyMatch(
                        line -> line.matches(
                                "\\d,6.35 mm two-pole lead,[a-z]*,,\"Analogue synth, mono output\",Output,\"Two-input interface, bus powered\",\"Input 1, line\""));
        assertThat(lines.stream().filter(line -> line.contains("Groovebox"))).hasSize(2);
    }

    /** Numbers are numbers for a spreadsheet: a plain minus, no apostrophe before it; tabs go into cells of their own. */
    @Test
    void levels_of_a_run_fall_into_cells() {
        Patch patch = Plugged.of("synth-analogue.out ts-ts interface-2.line-1");
        SetupLevels levels = SetupLevels.of(JointRules.check(patch), patch, Settings.NONE);
        String pasted =
                PastedTable.of(SetupTables.levels(levels.plan(levels.traces().get(0))));
        List<String> lines = pasted.lines().toList();
        assertThat(lines.get(0).split("\t", -1))
                .containsExactly(
                        "station", "stage", "loudest peak dBu", "average dBu", "noise dBu", "dB left above the peak");
        assertThat(lines.subList(1, lines.size()))
                .hasSizeGreaterThan(2)
                .allMatch(line -> line.matches("[^\t]+\t[^\t]*(\t-?\\d+\\.\\d){3}\t(-?\\d+\\.\\d)?"));
    }

    @Test
    void each_take_is_a_line_with_its_knobs() {
        Studio studio = Boathouse.studio();
        Take take = new Take(
                "Take 1",
                "bass-synth.out>interface.adc-3",
                "takes/one.wav",
                Instant.parse("2026-03-01T11:52:00Z"),
                Map.of(
                        Spot.read("interface.gain-3"),
                        0.375,
                        Spot.read("bass-synth.volume"),
                        1.0,
                        Spot.read("gone.knob"),
                        0.5),
                "said \"again\", twice\nloud truck",
                List.of(),
                Optional.empty());
        Setup setup = studio.setups()
                .get(0)
                .withTakes(List.of(take, take.withName("Take 2").withRun("old>run")));
        SpotWords words = new SpotWords(
                id -> studio.devices().stream()
                        .filter(each -> each.id().equals(id))
                        .findFirst(),
                id -> studio.leads().stream()
                        .filter(each -> each.id().equals(id))
                        .findFirst());
        String table =
                SetupTables.takes(setup, Map.of("bass-synth.out>interface.adc-3", "Bass synth → track 3"), words);
        assertThat(table).startsWith("take,run,file,at,note,controls");
        // 0.375 of ten hours from 7:00 is 10:45; of what is gone only the share of its way is known.
        assertThat(table)
                .contains("Take 1,Bass synth → track 3,takes/one.wav,2026-03-01T11:52:00Z,"
                        + "\"said \"\"again\"\", twice\nloud truck\",")
                .contains("Interface, gain 3 10:45")
                .contains("gone, knob 50 %")
                .contains("Take 2,old>run,");
    }
}
