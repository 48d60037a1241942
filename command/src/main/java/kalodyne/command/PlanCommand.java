package kalodyne.command;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.catalogue.Catalogue;
import kalodyne.core.exchange.AnyStudio;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Names;
import kalodyne.core.joint.Wiring;
import kalodyne.core.json.Problem;
import kalodyne.core.json.UnreadableFile;
import kalodyne.core.route.Matters;
import kalodyne.core.route.Missing;
import kalodyne.core.route.Plan;
import kalodyne.core.route.Planner;
import kalodyne.core.route.Prediction;
import kalodyne.core.route.Stereo;
import kalodyne.core.route.Way;
import kalodyne.core.route.Wish;
import kalodyne.core.studio.Studio;
import kalodyne.core.units.Print;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Finds the ways to record something with what is owned: "kalodyne plan STUDIO --from NAME --to NAME". */
@Command(
        name = "plan",
        mixinStandardHelpOptions = true,
        description = "Find the ways to record something with what is owned, the best first.",
        footer = {
            "",
            "Exit status: 0 when it was planned, also where there is no way; 2 when the studio could not be read."
        })
public final class PlanCommand implements Callable<Integer> {
    @Parameters(arity = "1", paramLabel = "STUDIO", description = "A studio file; JSON and tables are read as well.")
    private Path file;

    @Option(
            names = "--from",
            required = true,
            paramLabel = "NAME",
            description = "What is played: the name or mark of a device. Several times for several sources.")
    private List<String> from;

    @Option(
            names = "--to",
            required = true,
            paramLabel = "NAME",
            description = "What records: the name or mark of a device.")
    private String to;

    @Option(
            names = "--tracks",
            paramLabel = "N",
            description = "How many tracks: as many as sources for mono, twice as many for stereo.")
    private Optional<Integer> tracks = Optional.empty();

    @Option(
            names = "--stereo",
            paramLabel = "HOW",
            description = "keep: left and right stay apart; mono: one is enough; any: no matter (the default).")
    private String stereo = "any";

    @Option(names = "--headphones", paramLabel = "NAME", description = "What it is heard on meanwhile.")
    private Optional<String> headphones = Optional.empty();

    @Option(
            names = "--matters",
            paramLabel = "WHAT",
            description = "What counts most: clean (the default), cheap, few-breaks, quick.")
    private String matters = "clean";

    @Option(names = "--json", description = "Print JSON, as docs/formats/plan.md describes.")
    private boolean json;

    private final Output output;

    public PlanCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() {
        try {
            Studio studio = AnyStudio.read(file);
            Plan plan = new Planner(studio.devices(), studio.leads(), Catalogue.shipped(), Wiring.NONE)
                    .plan(wish(studio), () -> false);
            if (json) {
                output.json(json(plan));
            } else {
                print(plan);
            }
            return Output.READ;
        } catch (UnreadableFile e) {
            output.complain(e.getMessage());
            return Output.NOT_READ;
        }
    }

    // --- the wish ----------------------------------------------------------------------------------------------

    private Wish wish(Studio studio) throws UnreadableFile {
        List<String> sources = new ArrayList<>();
        for (String name : from) {
            sources.add(mark(studio, name));
        }
        Optional<String> head = Optional.empty();
        if (headphones.isPresent()) {
            head = Optional.of(mark(studio, headphones.get()));
        }
        return Wish.of(sources.get(0), mark(studio, to))
                .withSources(sources)
                .withStereo(kept())
                .withHeadphones(head)
                .withMatters(first(), Matters.CHEAP);
    }

    private String mark(Studio studio, String name) throws UnreadableFile {
        return studio.devices().stream()
                .filter(device -> device.id().equals(name) || device.name().equalsIgnoreCase(name.strip()))
                .map(Device::id)
                .findFirst()
                .orElseThrow(() -> new UnreadableFile(
                        file,
                        Problem.ofWhole(
                                "There is no device “" + Names.shown(name) + "” in it.",
                                "Name one of: "
                                        + studio.devices().stream()
                                                .map(Device::name)
                                                .limit(12)
                                                .collect(Collectors.joining(", "))
                                        + ".")));
    }

    private Stereo kept() throws UnreadableFile {
        if (tracks.isPresent() && tracks.get() < 1) {
            throw told("A recording has one track or more, not " + tracks.get() + ".", "Write for example --tracks 2.");
        }
        if (tracks.isPresent() && stereo.equals("any")) {
            return tracks.get() <= from.size() ? Stereo.MONO_ENOUGH : Stereo.KEEP;
        }
        return switch (stereo.toLowerCase(Locale.ROOT)) {
            case "keep" -> Stereo.KEEP;
            case "mono" -> Stereo.MONO_ENOUGH;
            case "any" -> Stereo.NO_MATTER;
            default ->
                throw told("“" + Names.shown(stereo) + "” is no way to treat stereo.", "Write keep, mono or any.");
        };
    }

    private Matters first() throws UnreadableFile {
        return Stream.of(Matters.values())
                .filter(each ->
                        each.name().toLowerCase(Locale.ROOT).replace('_', '-').equals(matters))
                .findFirst()
                .orElseThrow(() -> told(
                        "“" + Names.shown(matters) + "” is nothing that can count most.",
                        "Write clean, cheap, few-breaks or quick."));
    }

    private UnreadableFile told(String what, String remedy) {
        return new UnreadableFile(file, Problem.ofWhole(what, remedy));
    }

    // --- words -------------------------------------------------------------------------------------------------

    private void print(Plan plan) {
        plan.impossible().ifPresent(output::line);
        int number = 0;
        for (Way way : plan.ways()) {
            output.line(++number + " " + way.title());
            way.strands().forEach(strand -> print(way, strand));
            output.line("  heard: " + way.monitoring().words() + delay(way.monitoring()));
            way.missing()
                    .forEach(each -> output.line("  to get: " + each.words() + " (price class "
                            + each.price().words() + ")"));
            way.findings()
                    .forEach(finding -> output.line(
                            "  " + finding.severity().word() + ": " + finding.title() + ". " + finding.text()));
            output.line("  why here: " + String.join(", ", way.reasons()));
        }
        if (!plan.dropped().isEmpty()) {
            output.line(plan.dropped().size() + " would not work or do harm, among them:");
            plan.dropped().stream().limit(3).forEach(each -> output.line("  " + each.words() + ". " + each.reason()));
        }
    }

    private void print(Way way, Way.Strand strand) {
        StringBuilder line =
                new StringBuilder("  ").append(name(way, strand.stations().get(0)));
        for (int i = 1; i < strand.stations().size(); i++) {
            List<String> leads = strand.leads().get(i - 1);
            line.append(leads.isEmpty() ? " → " : " → " + String.join(", ", leads) + " → ")
                    .append(name(way, strand.stations().get(i)));
        }
        output.line(line + ": " + strand.track() + ", "
                + (strand.channels() == 1 ? "mono" : "stereo") + ", " + strand.breaks() + " breaks"
                + strand.prediction().map(PlanCommand::words).orElse(""));
    }

    private static String name(Way way, String device) {
        return way.patch().devices().get(device).name();
    }

    private static String words(Prediction prediction) {
        return ", peak " + Print.decimal(prediction.peak().dbfs(), 0) + " dBFS, noise "
                + Print.decimal(prediction.noise().dbfs(), 0) + " dBFS";
    }

    private static String delay(Way.Monitoring monitoring) {
        return monitoring.delayMilliseconds() > 0
                ? ", about " + Print.decimal(monitoring.delayMilliseconds(), 0) + " ms late"
                : "";
    }

    // --- JSON --------------------------------------------------------------------------------------------------

    private ObjectNode json(Plan plan) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("file", file.toString());
        node.put("jointsComputed", plan.looked());
        node.put("impossible", plan.impossible().orElse(null));
        ArrayNode ways = node.putArray("ways");
        plan.ways().forEach(way -> ways.add(way(way)));
        ArrayNode dropped = node.putArray("dropped");
        plan.dropped()
                .forEach(each -> dropped.addObject().put("way", each.words()).put("reason", each.reason()));
        return node;
    }

    private static ObjectNode way(Way way) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("title", way.title());
        Output.put(node, "score", way.score());
        ArrayNode strands = node.putArray("strands");
        way.strands().forEach(strand -> strands.add(strand(strand)));
        node.put("monitoring", way.monitoring().words());
        Output.put(node, "monitoringDelayMs", way.monitoring().delayMilliseconds());
        ArrayNode missing = node.putArray("missing");
        for (Missing each : way.missing()) {
            missing.addObject()
                    .put("what", each.words())
                    .put("priceClass", each.price().name());
        }
        ArrayNode plugged = node.putArray("plugged");
        way.patch()
                .pluggings()
                .forEach(plugging -> plugged.addObject()
                        .put("plug", plugging.plug().write())
                        .put("socket", plugging.socket().write()));
        ArrayNode findings = node.putArray("findings");
        way.findings()
                .forEach(finding -> findings.addObject()
                        .put("code", finding.code())
                        .put("severity", finding.severity().word())
                        .put("title", finding.title())
                        .put("text", finding.text()));
        ArrayNode reasons = node.putArray("reasons");
        way.reasons().forEach(reasons::add);
        return node;
    }

    private static ObjectNode strand(Way.Strand strand) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        ArrayNode stations = node.putArray("stations");
        strand.stations().forEach(stations::add);
        ArrayNode leads = node.putArray("leads");
        strand.leads().forEach(each -> {
            ArrayNode between = leads.addArray();
            each.forEach(between::add);
        });
        node.put("channels", strand.channels());
        node.put("breaks", strand.breaks());
        node.put("track", strand.track());
        Output.put(
                node,
                "peakDbfs",
                strand.prediction().map(each -> each.peak().dbfs()).orElse(Double.NaN));
        Output.put(
                node,
                "noiseDbfs",
                strand.prediction().map(each -> each.noise().dbfs()).orElse(Double.NaN));
        return node;
    }
}
