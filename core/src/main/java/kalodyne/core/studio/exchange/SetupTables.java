package kalodyne.core.studio.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.runsheet.PatchList;
import kalodyne.core.runsheet.SpotWords;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.units.Level;
import kalodyne.core.units.LevelUnit;

/** What is plugged in a setup and what was recorded with it, as tables for a spreadsheet, after docs/formats/tables.md. */
public final class SetupTables {
    private static final List<String> PATCH =
            List.of("number", "lead", "colour", "side", "from device", "from socket", "to device", "to socket");
    private static final List<String> TAKES = List.of("take", "run", "file", "at", "note", "controls");

    private SetupTables() {}

    /** A line for each end that a lead goes to. */
    public static String patch(List<PatchList.Row> rows) {
        List<List<String>> lines = new ArrayList<>();
        for (PatchList.Row row : rows) {
            for (PatchList.End to : row.to()) {
                lines.add(List.of(
                        String.valueOf(row.number()),
                        row.lead(),
                        row.colour(),
                        row.side(),
                        row.from().device(),
                        row.from().socket(),
                        to.device(),
                        to.socket()));
            }
        }
        return CsvTable.write(PATCH, lines);
    }

    /** A line for each stage of a run, from its source on; levels in the unit in use. */
    public static String levels(LevelPlan plan) {
        String unit = LevelUnit.inUse().symbol();
        List<String> columns = List.of(
                "station",
                "stage",
                "loudest peak " + unit,
                "average " + unit,
                "noise " + unit,
                "dB left above the peak");
        return CsvTable.write(
                columns,
                plan.stages().stream()
                        .map(stage -> List.of(
                                plan.station(stage).words(),
                                stage.stage().label(),
                                number(stage.peak()),
                                number(stage.average()),
                                number(stage.floor()),
                                stage.headroom().map(left -> number(left.db())).orElse("")))
                        .toList());
    }

    private static String number(Level level) {
        return level.isSilence() ? "" : number(LevelUnit.inUse().number(level));
    }

    /** As programs read it: with a plain minus. */
    private static String number(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }

    /**
     * A line for each take, oldest first.
     *
     * @param runs names of the runs of what is plugged, by the keys that takes know them by
     * @param words how gear is called
     */
    public static String takes(Setup setup, Map<String, String> runs, SpotWords words) {
        return CsvTable.write(
                TAKES,
                setup.takes().stream()
                        .map(take -> List.of(
                                take.name(),
                                runs.getOrDefault(take.run(), take.run()),
                                take.file(),
                                take.at().toString(),
                                take.note(),
                                String.join("; ", words.eachPosition(take.positions()))))
                        .toList());
    }
}
