package kalodyne.command;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.files.WholeFile;
import kalodyne.core.files.json.Problem;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.findings.Finding;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.gear.catalogue.Profile;
import kalodyne.core.joint.JointNetlist;
import kalodyne.core.joint.JointReading;
import kalodyne.core.joint.OutputSignal;
import kalodyne.core.joint.Transfer;
import kalodyne.core.joint.circuit.NetlistWriter;
import kalodyne.core.joint.rules.Cure;
import kalodyne.core.joint.rules.Cures;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.exchange.AnyStudio;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.units.Computed;
import kalodyne.core.units.Print;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Tells what really happens in every joint of a setup: "kalodyne joint SETUP". */
@Command(
        name = "joint",
        mixinStandardHelpOptions = true,
        description = "Tell what really happens where things are plugged together.",
        footer = {"", "Exit status: 0 when it was read, whatever was found; 2 when it could not be."})
public final class JointCommand implements Callable<Integer> {
    @Parameters(arity = "1", paramLabel = "SETUP", description = "A studio file, or JSON of a studio or a part of it.")
    private Path file;

    @Option(names = "--json", description = "Print JSON, as docs/formats/joint.md describes.")
    private boolean json;

    @Option(names = "--remedies", description = "Try out what would mend each joint, of what is owned. Takes longer.")
    private boolean remedies;

    @Option(names = "--netlist", description = "Print the circuit of each signal, for a general circuit simulator.")
    private boolean netlist;

    @Option(
            names = "--out",
            paramLabel = "FOLDER",
            description = "Write each circuit to a file of its own there, instead of printing.")
    private Path out;

    private final Output output;

    public JointCommand(Output output) {
        this.output = output;
    }

    /** A joint and where it is. */
    record Found(Setup setup, int number, JointRules.Checked checked, List<Cure> cures) {}

    @Override
    public Integer call() {
        try {
            List<Found> joints = joints(AnyStudio.read(file));
            if (netlist || out != null) {
                netlists(joints);
            } else if (json) {
                ArrayNode array = JsonNodeFactory.instance.arrayNode();
                joints.forEach(joint -> array.add(JointJson.of(file, joint)));
                output.json(array);
            } else {
                joints.forEach(this::print);
            }
            return Output.READ;
        } catch (UnreadableFile e) {
            output.complain(e.getMessage());
        } catch (IOException e) {
            output.complain(out + ": it cannot be written there. Free some space, or choose another folder.");
        }
        return Output.NOT_READ;
    }

    private List<Found> joints(Studio studio) throws UnreadableFile {
        List<Found> joints = studio.setups().stream()
                .flatMap(setup -> {
                    List<JointRules.Checked> checked = JointRules.check(studio.patch(setup), studio.devices());
                    return Stream.iterate(0, i -> i < checked.size(), i -> i + 1)
                            .map(i -> new Found(setup, i + 1, checked.get(i), cures(studio, setup, checked.get(i))));
                })
                .toList();
        if (joints.isEmpty()) {
            throw new UnreadableFile(
                    file,
                    Problem.ofWhole(
                            "Nothing is plugged in it.",
                            "Plug something in the window, or name it under “plugged” of a setup."));
        }
        return joints;
    }

    private List<Cure> cures(Studio studio, Setup setup, JointRules.Checked joint) {
        List<Lead> shop =
                Catalogue.shipped().leads().stream().map(Profile::gear).toList();
        return remedies ? new Cures(studio.devices(), studio.leads(), shop, setup.wiring()).of(joint) : List.of();
    }

    // --- netlists ----------------------------------------------------------------------------------------------

    private void netlists(List<Found> joints) throws IOException {
        for (Found joint : joints) {
            for (OutputSignal sounding : joint.checked().circuit().soundings()) {
                String title = joint.checked().title() + ": "
                        + sounding.socket().write() + " " + sounding.channel().word();
                String text = NetlistWriter.write(
                        JointNetlist.of(title, joint.checked().circuit(), sounding), JointNetlist.SWEEP);
                if (out == null) {
                    output.line(text);
                } else {
                    Path place = out.resolve(name(joint, sounding));
                    Files.createDirectories(out);
                    WholeFile.write(place, ByteBuffer.wrap(text.getBytes(StandardCharsets.UTF_8)));
                    output.line(place.toString());
                }
            }
        }
    }

    private static String name(Found joint, OutputSignal sounding) {
        return (joint.setup().id() + "-" + joint.number() + "-"
                                + sounding.socket().write() + "-"
                                + sounding.channel().word())
                        .replaceAll("[^A-Za-z0-9.-]+", "-")
                + ".cir";
    }

    // --- words -------------------------------------------------------------------------------------------------

    private void print(Found joint) {
        output.line(joint.setup().name() + ", joint " + joint.number() + ": "
                + joint.checked().title());
        joint.checked().reading().ifPresent(reading -> reading.ways().forEach(way -> output.line(words(joint, way))));
        for (Finding finding : joint.checked().findings()) {
            output.finding(finding);
        }
        joint.cures().forEach(cure -> output.line("  do: " + cure.words() + " (" + left(cure) + ")"));
    }

    private static String left(Cure cure) {
        return cure.worst().map(worst -> "leaves: " + worst.word()).orElse("then nothing is wrong");
    }

    private static String words(Found joint, Transfer way) {
        String levels = JointReading.TOLD.stream()
                .map(hertz -> Computed.frequency(hertz) + " "
                        + Print.decimal(Math.max(-200, way.gain(hertz).db()), 1) + " dB")
                .collect(Collectors.joining(", "));
        return "  " + joint.checked().patch().words(way.from().socket()) + " "
                + way.from().channel().word() + " to "
                + joint.checked().patch().words(way.to().socket()) + " "
                + way.to().channel().word() + ": " + levels;
    }
}
