package kalodyne.command;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.files.json.Problem;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.files.json.Words;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Names;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.route.Also;
import kalodyne.core.route.Budget;
import kalodyne.core.route.Extras;
import kalodyne.core.route.ListeningWish;
import kalodyne.core.route.MonitorPath;
import kalodyne.core.route.Obvious;
import kalodyne.core.route.Plan;
import kalodyne.core.route.Planner;
import kalodyne.core.route.Priority;
import kalodyne.core.route.Spending;
import kalodyne.core.route.Stereo;
import kalodyne.core.route.Wish;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.exchange.AnyStudio;
import kalodyne.core.units.UnreadableQuantity;
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
            "Exit status: 0 when it was planned, also where there is no way; 2 when the studio could not be read or a name"
                    + " is not in it."
        })
public final class PlanCommand implements Callable<Integer> {
    @Parameters(arity = "1", paramLabel = "STUDIO", description = "A studio file; JSON and tables are read as well.")
    private Path file;

    @Option(
            names = "--from",
            required = true,
            paramLabel = "NAME",
            description =
                    "What is played: the name or mark of a device. Several times for several sources. With --obvious"
                            + " one of its sockets: bass-synth.out.")
    private List<String> from;

    @Option(
            names = "--to",
            paramLabel = "NAME",
            description =
                    "What records: the name or mark of a device; left out where it is only to be heard on --speakers"
                            + " or --headphones. With --obvious one of its sockets.")
    private Optional<String> to = Optional.empty();

    @Option(
            names = "--obvious",
            description = "Tell what would come of the simplest leads between two sockets: why not the obvious one?")
    private boolean isObvious;

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

    @Option(
            names = "--headphones",
            paramLabel = "NAME",
            description = "What it is heard on meanwhile. Several times for several pairs.")
    private List<String> headphones = new ArrayList<>();

    @Option(
            names = "--by",
            paramLabel = "NAME",
            description = "A device that it has to go through: a preamp, a mixer. Several times for several.")
    private List<String> by = new ArrayList<>();

    @Option(
            names = "--speakers",
            paramLabel = "NAME",
            description = "Loudspeakers that it is heard on: each by itself, a subwoofer too.")
    private List<String> speakers = new ArrayList<>();

    @Option(names = "--through", paramLabel = "HOW", description = "How it is heard: direct, app, any (the default).")
    private String through = "any";

    @Option(names = "--tempo", description = "Keep source and recorder in one tempo, by MIDI clock.")
    private boolean inTempo;

    @Option(names = "--charging", description = "Charge the recorder meanwhile.")
    private boolean charging;

    @Option(
            names = "--also",
            paramLabel = "WHAT",
            description =
                    "What else is captured: safety-copy, two-mixes (with and without the voice). Several times for"
                            + " both.")
    private List<String> also = new ArrayList<>();

    @Option(
            names = "--budget",
            paramLabel = "WHAT",
            description = "How dear a thing may be that is not owned: nothing, lead, box, any (the default).")
    private String budget = "any";

    @Option(
            names = "--spend",
            paramLabel = "SUM",
            description = "How much it may cost in all, in your own money; what has no --price is not counted.")
    private String spend = "";

    @Option(
            names = "--price",
            paramLabel = "ID=SUM",
            description =
                    "What a thing of the catalogue costs where you are: trs-trs=12.50. Several times for several.")
    private Map<String, String> prices = new LinkedHashMap<>();

    @Option(
            names = "--matters",
            paramLabel = "WHAT",
            description = "What counts most: clean (the default), cheap, few-breaks, quick," + " ordinary-leads.")
    private String matters = "clean";

    @Option(names = "--then", paramLabel = "WHAT", description = "What counts next: cheap is the default.")
    private String then = "cheap";

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
            Planner planner =
                    new Planner(studio.devices(), studio.leads(), Catalogue.shipped(), Wiring.NONE, Settings.NONE);
            if (isObvious) {
                tell(obvious(studio, planner));
            } else {
                Wish wish = wish(studio);
                Plan plan = planner.plan(wish, () -> false);
                if (json) {
                    output.json(PlanJson.of(file, wish, plan));
                } else {
                    new PlanText(output).print(wish, plan);
                }
            }
            return Output.READ;
        } catch (UnreadableFile e) {
            output.complain(e.getMessage());
            return Output.NOT_READ;
        }
    }

    // --- the obvious one ---------------------------------------------------------------------------------------

    private void tell(List<Obvious> obvious) {
        if (json) {
            output.json(PlanJson.of(file, obvious));
        } else {
            new PlanText(output).print(obvious);
        }
    }

    private List<Obvious> obvious(Studio studio, Planner planner) throws UnreadableFile {
        Spot out = spot(from.get(0));
        Spot in = spot(to.orElseThrow(
                () -> told("--obvious needs two sockets.", "Name the other one too: --to interface.in-1.")));
        return planner.obvious(
                device(studio, out.item()), socket(studio, out), device(studio, in.item()), socket(studio, in));
    }

    private Spot spot(String text) throws UnreadableFile {
        try {
            return Spot.read(text);
        } catch (UnreadableQuantity e) {
            throw told(e.problem(), e.remedy());
        }
    }

    private Socket socket(Studio studio, Spot spot) throws UnreadableFile {
        Device device = device(studio, spot.item());
        return device.socket(spot.part())
                .orElseThrow(() -> told(
                        device.name() + " has no socket “" + Names.shown(spot.part()) + "”.",
                        "Name one of: "
                                + device.sockets().stream()
                                        .map(Socket::id)
                                        .limit(20)
                                        .collect(Collectors.joining(", "))
                                + "."));
    }

    // --- the wish ----------------------------------------------------------------------------------------------

    private Wish wish(Studio studio) throws UnreadableFile {
        ListeningWish heard = new ListeningWish(
                marks(studio, headphones), marks(studio, speakers), one("--through", MonitorPath.class, through));
        Set<Also> more = new HashSet<>();
        for (String word : also) {
            more.add(one("--also", Also.class, word));
        }
        return new Wish(
                marks(studio, from),
                to.isPresent() ? mark(studio, to.get()) : Wish.NOBODY,
                kept(),
                heard,
                new Extras(
                        inTempo,
                        charging,
                        more,
                        false,
                        marks(studio, by),
                        one("--budget", Budget.class, budget),
                        spending()),
                one("--matters", Priority.class, matters),
                one("--then", Priority.class, then));
    }

    private Spending spending() throws UnreadableFile {
        Map<String, Double> own = new LinkedHashMap<>();
        for (Map.Entry<String, String> each : prices.entrySet()) {
            String id = each.getKey();
            boolean isKnown = Catalogue.shipped().lead(id).isPresent()
                    || Catalogue.shipped().device(id).isPresent();
            if (!isKnown) {
                throw told(
                        "There is no “" + Names.shown(id) + "” in the catalogue.",
                        "Write an id that `kalodyne catalogue` lists.");
            }
            sum("--price", each.getValue()).ifPresent(price -> own.put(id, price));
        }
        return new Spending(sum("--spend", spend), own);
    }

    private OptionalDouble sum(String option, String typed) throws UnreadableFile {
        try {
            return Spending.read(typed);
        } catch (IllegalArgumentException e) {
            throw told(
                    "“" + Names.shown(typed) + "” is no sum that " + option + " can read.",
                    "Write a number, such as 29 or 12.50.");
        }
    }

    private List<String> marks(Studio studio, List<String> names) throws UnreadableFile {
        List<String> marks = new ArrayList<>();
        for (String name : names) {
            marks.add(mark(studio, name));
        }
        return marks;
    }

    private String mark(Studio studio, String name) throws UnreadableFile {
        return device(studio, name).id();
    }

    private Device device(Studio studio, String name) throws UnreadableFile {
        return studio.devices().stream()
                .filter(device -> device.id().equals(name) || device.name().equalsIgnoreCase(name.strip()))
                .findFirst()
                .orElseThrow(() -> told(
                        "There is no device “" + Names.shown(name) + "” in it.",
                        "Name one of: "
                                + studio.devices().stream()
                                        .map(Device::name)
                                        .limit(12)
                                        .collect(Collectors.joining(", "))
                                + "."));
    }

    private Stereo kept() throws UnreadableFile {
        if (tracks.isPresent() && tracks.get() < 1) {
            throw told("A recording has one track or more, not " + tracks.get() + ".", "Write for example --tracks 2.");
        }
        if (tracks.isPresent() && stereo.equals("any")) {
            return tracks.get() <= from.size() ? Stereo.MONO_ENOUGH : Stereo.KEEP;
        }
        return switch (stereo) {
            case "keep" -> Stereo.KEEP;
            case "mono" -> Stereo.MONO_ENOUGH;
            case "any" -> Stereo.NO_MATTER;
            default ->
                throw told("“" + Names.shown(stereo) + "” is not a way to treat stereo.", "Write keep, mono or any.");
        };
    }

    private <E extends Enum<E>> E one(String option, Class<E> kind, String word) throws UnreadableFile {
        return Words.named(kind, word)
                .orElseThrow(() -> told(
                        "“" + Names.shown(word) + "” is nothing that " + option + " knows.",
                        "Write "
                                + Stream.of(kind.getEnumConstants())
                                        .map(Words::name)
                                        .collect(Collectors.joining(" or "))
                                + "."));
    }

    private UnreadableFile told(String what, String remedy) {
        return new UnreadableFile(file, Problem.ofWhole(what, remedy));
    }
}
