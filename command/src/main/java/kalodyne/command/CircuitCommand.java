package kalodyne.command;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import kalodyne.core.files.json.Problem;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.joint.circuit.Netlist;
import kalodyne.core.joint.circuit.NetlistReader;
import kalodyne.core.joint.circuit.SolvedNetlist;
import kalodyne.core.joint.circuit.UnsolvableCircuit;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** Solves circuits that somebody wrote for a simulator: "kalodyne circuit FILE.cir…". */
@Command(
        name = "circuit",
        mixinStandardHelpOptions = true,
        description = "Solve circuits, written as netlists, with what computes the joints.",
        footer = {"", "Exit status: 0 when all were solved, 2 when one could not be read or has no solution."})
public final class CircuitCommand implements Callable<Integer> {
    @Parameters(arity = "1..*", paramLabel = "FILE.cir", description = "The netlists.")
    private List<Path> files;

    @Option(names = "--json", description = "Print JSON, as docs/formats/circuit.md describes.")
    private boolean json;

    private final Output output;
    private final ArrayNode array = JsonNodeFactory.instance.arrayNode();
    private int status = Output.READ;

    public CircuitCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() {
        files.forEach(this::solve);
        if (json) {
            output.json(array);
        }
        return status;
    }

    private void solve(Path file) {
        try {
            Netlist netlist = NetlistReader.read(file);
            SolvedNetlist solved = solved(file, netlist);
            if (json) {
                array.add(CircuitJson.of(file, solved));
            } else {
                print(file, solved);
            }
        } catch (UnreadableFile e) {
            status = Output.NOT_READ;
            output.complain(e.getMessage());
            array.add(CircuitJson.unreadable(file, e));
        }
    }

    private static SolvedNetlist solved(Path file, Netlist netlist) throws UnreadableFile {
        try {
            return SolvedNetlist.of(netlist);
        } catch (UnsolvableCircuit e) {
            throw new UnreadableFile(
                    file, Problem.ofWhole(e.getMessage(), "Put a resistance where the real circuit has one."));
        }
    }

    private void print(Path file, SolvedNetlist solved) {
        output.line(file + ": " + solved.netlist().title());
        if (!solved.adrift().isEmpty()) {
            output.line("  nothing ties these to the ground: " + String.join(", ", solved.adrift()));
        }
        solved.atRest()
                .forEach((node, volts) -> output.line("  at rest, " + node + ": " + CircuitJson.digits(volts)
                        + (node.startsWith("i(") ? " A" : " V")));
        solved.told().forEach((probe, values) -> {
            output.line("  " + probe.write());
            for (int i = 0; i < values.size(); i++) {
                output.line("    "
                        + CircuitJson.digits(solved.netlist().frequenciesHz().get(i)) + " Hz: "
                        + (CircuitJson.isPair(probe)
                                ? CircuitJson.digits(values.get(i).magnitude()) + " at "
                                        + CircuitJson.digits(values.get(i).phaseDegrees()) + "°"
                                : CircuitJson.digits(values.get(i).re())));
            }
        });
    }
}
