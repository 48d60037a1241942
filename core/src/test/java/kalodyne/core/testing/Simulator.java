package kalodyne.core.testing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kalodyne.core.joint.circuit.Complex;
import kalodyne.core.joint.circuit.Netlist;
import kalodyne.core.joint.circuit.NetlistReader;
import kalodyne.core.joint.circuit.Network;
import kalodyne.core.joint.circuit.Solution;
import kalodyne.core.joint.circuit.UnsolvableCircuit;
import org.junit.jupiter.api.Assumptions;

/** The general circuit simulator ngspice, to compare with. Where it is not installed, tests that need it are skipped. */
public final class Simulator {
    private static final Pattern AT_REST = Pattern.compile("^(\\S+) = (\\S+)$", Pattern.MULTILINE);

    /** Of sources of 1 V. Below this, both are rounding errors of larger numbers. */
    private static final double NOTHING = 1e-6;

    private Simulator() {}

    /** What it found. */
    private record Found(List<Double> hertz, Map<String, List<Complex>> nodes, Map<String, Double> atRest) {}

    /** Solves a netlist with both and compares every node at every frequency and, where asked for, at rest. */
    public static void assertAgrees(String text, Path folder) throws IOException, InterruptedException {
        requireThere();
        Path file = Files.writeString(folder.resolve("compared.cir"), text);
        Netlist netlist = NetlistReader.read(file);
        Network network = new Network(netlist.circuit());
        Found found = run(netlist, text, folder);
        assertThat(netlist.frequenciesHz()).hasSameSizeAs(found.hertz());
        try {
            for (int i = 0; i < found.hertz().size(); i++) {
                double hertz = netlist.frequenciesHz().get(i);
                assertThat(hertz).isCloseTo(found.hertz().get(i), within(1e-6 * hertz));
                Solution solution = network.at(hertz);
                for (String node : netlist.circuit().nodes()) {
                    Complex ours = solution.voltage(node);
                    Complex theirs = found.nodes().get(node).get(i);
                    // A tenth of the 0.02 dB that are asked for, as a length of the difference.
                    assertThat(ours.minus(theirs).magnitude())
                            .as("%s at %s Hz: %s, there %s%n%s", node, hertz, ours, theirs, text)
                            .isLessThanOrEqualTo(2.3e-4 * theirs.magnitude() + NOTHING);
                }
            }
            if (netlist.isAtRest()) {
                Solution rest = network.atRest();
                netlist.circuit()
                        .nodes()
                        .forEach(node -> assertThat(rest.voltage(node).re())
                                .as("%s at rest%n%s", node, text)
                                .isCloseTo(
                                        found.atRest().get(node),
                                        within(1e-3 * Math.abs(found.atRest().get(node)) + 1e-5)));
            }
        } catch (UnsolvableCircuit e) {
            throw new AssertionError(e.getMessage() + "\n" + text, e);
        }
    }

    private static void requireThere() {
        Assumptions.assumeTrue(Installed.IS, "ngspice is not installed: nothing to compare with");
    }

    /** Asked once. */
    private static final class Installed {
        static final boolean IS = ask();

        private static boolean ask() {
            try {
                return new ProcessBuilder("ngspice", "--version")
                                .redirectErrorStream(true)
                                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                                .start()
                                .waitFor()
                        == 0;
            } catch (IOException e) {
                return false;
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return false;
            }
        }
    }

    private static Found run(Netlist netlist, String text, Path folder) throws IOException, InterruptedException {
        List<String> nodes = netlist.circuit().nodes();
        StringBuilder script = new StringBuilder(text.replaceFirst("(?m)^\\.end\\s*$", ""))
                .append("\n.control\nset numdgt=12\nset wr_singlescale\n");
        if (netlist.isAtRest()) {
            script.append("op\nprint all\n");
        }
        Matcher sweep = Pattern.compile("(?m)^\\.(ac .*)$").matcher(text);
        if (sweep.find()) {
            script.append(sweep.group(1)).append("\nwrdata found.txt");
            nodes.forEach(node -> script.append(" v(").append(node).append(')'));
            script.append('\n');
        }
        script.append("quit\n.endc\n.end\n");
        Files.deleteIfExists(folder.resolve("found.txt"));
        Path file = Files.writeString(folder.resolve("script.cir"), script);
        Process process = new ProcessBuilder("ngspice", "-b", file.getFileName().toString())
                .directory(folder.toFile())
                .redirectErrorStream(true)
                .start();
        String printed = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor(30, TimeUnit.SECONDS)).as(printed).isTrue();
        return found(nodes, printed, folder.resolve("found.txt"));
    }

    private static Found found(List<String> nodes, String printed, Path data) throws IOException {
        Map<String, Double> atRest = new HashMap<>();
        Matcher matcher = AT_REST.matcher(printed);
        while (matcher.find()) {
            atRest.put(matcher.group(1), Double.parseDouble(matcher.group(2)));
        }
        List<Double> hertz = new ArrayList<>();
        Map<String, List<Complex>> found = new HashMap<>();
        nodes.forEach(node -> found.put(node, new ArrayList<>()));
        if (Files.exists(data)) {
            for (String line : Files.readAllLines(data)) {
                String[] numbers = line.strip().split("\\s+", -1);
                hertz.add(Double.parseDouble(numbers[0]));
                for (int i = 0; i < nodes.size(); i++) {
                    found.get(nodes.get(i))
                            .add(new Complex(
                                    Double.parseDouble(numbers[1 + 2 * i]), Double.parseDouble(numbers[2 + 2 * i])));
                }
            }
        }
        return new Found(hertz, found, atRest);
    }
}
