package kalodyne.core.joint.circuit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.Random;
import java.util.stream.Collectors;
import kalodyne.core.files.json.UnreadableFile;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The solver against circuits whose solution stands in handbooks, and its reading of netlists. */
class CircuitTest {
    private static final Offset<Double> DB = within(0.001);

    private static Netlist netlist(String... lines) throws UnreadableFile {
        return NetlistReader.read(Path.of("test.cir"), "title\n" + String.join("\n", lines));
    }

    private static double db(double hertz, String... lines) throws Exception {
        return new Network(netlist(lines).circuit()).at(hertz).voltage("out").db();
    }

    /** Any handbook: the voltage divider. */
    @Test
    void divider() throws Exception {
        assertThat(db(1000, "V1 in 0 AC 1", "R1 in out 150", "R2 out 0 1.5k")).isCloseTo(-0.8279, DB);
    }

    /**
     * L, U and H pads with the tabulated resistors for 600 Ω and 20 dB (H: 490.9 Ω in series, 121.2 Ω across; the handbook's
     * arms halved), matched at both ends: 20 dB below the 6.02 dB that matching costs.
     */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            V1 a 0 AC 1; Rs a in 600; R1 in x 490.909; R2 x 0 121.212; R3 x out 490.909; RL out 0 600 | -26.0206
            V1 a b AC 1; Rs a in 600; R1 in x 245.4545; R4 b y 245.4545; R2 x y 121.212; R3 x out 245.4545; R5 y low 245.4545; RL out low 600; RG low 0 1f | -26.0206
            V1 in 0 AC 1; R1 in out 540; R2 out 0 66.667; RL out 0 600  | -20.0
            """)
    void pads(String lines, double expected) throws Exception {
        assertThat(db(1000, lines.split("; "))).isCloseTo(expected, within(0.02));
    }

    /** First-order low-pass of a lead: 3.0103 dB at 1/(2πRC). 10 kΩ into 1.5 nF (15 m of 100 pF/m): 10.61 kHz. */
    @Test
    void lead_as_low_pass() throws Exception {
        double corner = 1 / (2 * Math.PI * 10e3 * 1.5e-9);
        assertThat(db(corner, "V1 in 0 AC 1", "R1 in out 10k", "C1 out 0 1.5n")).isCloseTo(-3.0103, DB);
        assertThat(corner).isCloseTo(10610, within(1.0));
    }

    /** A piezo is a capacitance: with 600 pF into 1 MΩ everything below 265 Hz goes. */
    @Test
    void piezo_as_high_pass() throws Exception {
        assertThat(db(1 / (2 * Math.PI * 1e6 * 600e-12), "V1 in 0 AC 1", "C1 in out 600p", "R1 out 0 1meg"))
                .isCloseTo(-3.0103, DB);
    }

    /** A pickup of 2.4 H with 500 pF resonates at 1/(2π√LC) = 4594 Hz, where it rises by its Q = R/√(L/C). */
    @Test
    void pickup_resonance() throws Exception {
        double resonance = 1 / (2 * Math.PI * Math.sqrt(2.4 * 500e-12));
        double rise = 20 * Math.log10(250e3 / Math.sqrt(2.4 / 500e-12));
        assertThat(db(resonance, "V1 a 0 AC 1", "L1 a out 2.4", "C1 out 0 500p", "R1 out 0 250k"))
                .isCloseTo(rise, DB);
        assertThat(resonance).isCloseTo(4594, within(1.0));
    }

    /** An ideal transformer shows its source the load times the square of its ratio: 12:1, 1 kΩ seen as 144 kΩ. */
    @Test
    void transformer_reflects_its_load() throws Exception {
        Solution solution = new Network(
                        netlist("I1 0 out AC 1m", "L1 out 0 14400k", "L2 s 0 100k", "K1 L1 L2 1", "R1 s 0 1k", ".op")
                                .circuit())
                .at(1000);
        assertThat(solution.voltage("out").magnitude() / 1e-3).isCloseTo(144_000, within(20.0));
        assertThat(solution.voltage("out").magnitude() / solution.voltage("s").magnitude())
                .isCloseTo(12, within(0.001));
    }

    /** IEC 60098: a network of 3180, 318 and 75 µs: +19.27 dB at 20 Hz, −19.62 dB at 20 kHz re 1 kHz. */
    @ParameterizedTest
    @CsvSource({"20, 19.27", "20000, -19.62"})
    void riaa(double hertz, double expected) throws Exception {
        String[] network = {"I1 0 out AC 1", "R1 out a 1", "C1 out a 3180u", "R2 a 0 84.906m", "C2 a 0 883.33u"};
        assertThat(db(hertz, network) - db(1000, network)).isCloseTo(expected, within(0.05));
    }

    /** An error of 1 % in one of two legs of 75 Ω, against 1 MΩ common-mode load each: about 123 dB; with 1 kΩ load: 63 dB. */
    @Test
    void common_mode_rejection() throws Exception {
        Solution solution = new Network(
                        netlist("V1 g 0 AC 1", "R1 g hot 75.75", "R2 g cold 75", "R3 hot 0 1k", "R4 cold 0 1k")
                                .circuit())
                .at(50);
        double leg = 0.75 * 1000 / ((1000 + 75) * (1000 + 75.75));
        assertThat(solution.voltage("hot", "cold").db()).isCloseTo(20 * Math.log10(leg), within(0.01));
    }

    /** IEC 61938: 48 V through 6.8 kΩ in each leg gives a microphone of 3 mA 37.8 V. */
    @Test
    void phantom_at_rest() throws Exception {
        Solution rest = new Network(netlist(
                                "V1 p 0 DC 48",
                                "R1 p hot 6.8k",
                                "R2 p cold 6.8k",
                                "I1 hot 0 1.5m",
                                "I2 cold 0 1.5m",
                                "C1 hot out 10u",
                                "R3 out 0 1k")
                        .circuit())
                .atRest();
        assertThat(rest.voltage("hot").re()).isCloseTo(37.8, within(1e-6));
        assertThat(rest.voltage("out").re()).isCloseTo(0, within(1e-6));
        assertThat(rest.current("v1").re()).isCloseTo(-3e-3, within(1e-9));
    }

    @Test
    void controlled_sources() throws Exception {
        Solution solution = new Network(netlist(
                                "V1 in 0 AC 1",
                                "R1 in 0 2",
                                "E1 e 0 in 0 3",
                                "R2 e 0 1",
                                "G1 0 g in 0 2",
                                "R3 g 0 5",
                                "H1 h 0 V1 4",
                                "R4 h 0 1",
                                "F1 f 0 V1 2",
                                "R5 f 0 3")
                        .circuit())
                .at(1);
        assertThat(solution.voltage("e").re()).isCloseTo(3, within(1e-12));
        assertThat(solution.voltage("g").re()).isCloseTo(10, within(1e-12));
        // Half an ampere goes from plus to minus through R1, and so from minus to plus through the source.
        assertThat(solution.voltage("h").re()).isCloseTo(-2, within(1e-12));
        assertThat(solution.voltage("f").re()).isCloseTo(3, within(1e-12));
    }

    /** What goes into every node comes out again, whatever is connected how: checked on circuits made at random. */
    @Test
    void currents_add_up_in_circuits_made_at_random() throws Exception {
        Random random = new Random(4);
        for (int round = 0; round < 200; round++) {
            int nodes = 3 + random.nextInt(12);
            StringBuilder lines = new StringBuilder("V1 n0 0 AC 1 30\n");
            for (int i = 0; i < 3 * nodes; i++) {
                int from = random.nextInt(nodes);
                int to = random.nextInt(nodes + 1);
                String ends = " n" + from + " " + (to == nodes ? "0" : "n" + to) + " ";
                double size = Math.pow(10, 6 * random.nextDouble());
                lines.append(
                                switch (random.nextInt(3)) {
                                    case 0 -> "R" + i + ends + size;
                                    case 1 -> "C" + i + ends + 1e-3 / size;
                                    default -> "L" + i + ends + 1e-3 * size;
                                })
                        .append('\n');
            }
            Circuit circuit = netlist(lines.toString()).circuit();
            Solution solution;
            try {
                solution = new Network(circuit).at(100);
            } catch (UnsolvableCircuit e) {
                // Two inductors side by side from a node to itself, or a source across one: rare, and rightly refused.
                continue;
            }
            for (String node : circuit.nodes()) {
                double[] sum = new double[3];
                for (Element element : circuit.elements()) {
                    Element.TwoTerminal two = (Element.TwoTerminal) element;
                    Complex current = solution.current(two.name());
                    int sign = (two.plus().equals(node) ? 1 : 0) - (two.minus().equals(node) ? 1 : 0);
                    sum[0] += sign * current.re();
                    sum[1] += sign * current.im();
                    sum[2] += Math.abs(sign) * current.magnitude();
                }
                assertThat(Math.hypot(sum[0], sum[1])).isLessThanOrEqualTo(1e-9 * sum[2] + 1e-11);
            }
        }
    }

    @Test
    void names_what_nothing_ties_to_the_ground() throws Exception {
        Network network = new Network(netlist("V1 in 0 DC 5 AC 1", "C1 in mid 1n", "C2 mid out 1n", "R1 x y 1k")
                .circuit());
        assertThat(network.adrift()).containsExactly("mid", "out", "x");
        assertThat(network.atRest().voltage("mid").magnitude()).isLessThan(1e-3);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "V1 a 0 1\nV2 a 0 2",
                "V1 a 0 1\nL1 a 0 1",
                "V1 a b 1\nE1 a b c 0 1\nR1 c 0 1\nR2 a 0 1",
                "R1 a a 0\nR2 a 0 1"
            })
    void says_what_cannot_be_decided(String lines) throws Exception {
        Network network = new Network(netlist(lines).circuit());
        assertThatThrownBy(network::atRest)
                .isInstanceOf(UnsolvableCircuit.class)
                .hasMessageContaining("its current is not decided");
    }

    @Test
    void reads_what_simulators_read() throws Exception {
        Netlist read = NetlistReader.read(Path.of("x.cir"), """
                R1 this is the title 1k
                * a comment
                V1 IN GND 5 AC 2 ; with a comment
                R1 in out
                + 4.7k
                C1 (out,0) 100nF $ another
                L1 out 0 10MEG
                .print ac vdb(OUT) v(in,out) i(V1)
                .ac oct 1 100 400
                .op
                .end
                R9 nonsense
                """);
        assertThat(read.title()).isEqualTo("R1 this is the title 1k");
        assertThat(read.circuit().elements())
                .containsExactly(
                        new Element.VoltageSource("v1", "in", "0", new Element.Drive(5, 2, 0)),
                        new Element.Resistor("r1", "in", "out", 4700),
                        new Element.Capacitor("c1", "out", "0", 100e-9),
                        new Element.Inductor("l1", "out", "0", 1e7));
        assertThat(read.frequenciesHz()).hasSize(3);
        assertThat(read.frequenciesHz().get(1)).isCloseTo(200, within(1e-9));
        assertThat(read.printed().stream().map(Probe::write)).containsExactly("vdb(out)", "v(in,out)", "i(v1)");
        assertThat(NetlistReader.read(Path.of("y.cir"), NetlistWriter.write(read, "oct 1 100 400")))
                .isEqualTo(read);
    }

    /** Everything that is wrong is named at once, each with its line and what to do. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '`', textBlock = """
            R1 a 0                    | line 2: “r1” ends before a number is named.
            R1 a 0 lots               | line 2: “lots” is not a number.
            R1 a 0 -5                 | line 2: “r1” needs a resistance of 0 or more, not -5.0
            R1 a 0 1 tc1=3            | line 2: “tc1=3” is more than what is read of “r1”.
            Q1 a b c npn              | line 2: “q1” is not of a kind that is read.
            R1 a 0 1; r1 b 0 1        | line 3: There is a “r1” already, in line 2.
            F1 a 0 V9 1               | line 2: “f1” points at the voltage source “v9”, which is not there
            L1 a 0 1; K1 l1 l1 0.5    | line 3: “k1” couples “l1” with itself
            V1 a 0 sin(0 1 1k)        | line 2: “sin” is not a number.
            R1 a 0 1; .tran 1 2       | line 3: “.tran” is not one of the commands that are read.
            R1 a 0 1; .ac dec 10 0 1  | line 3: These frequencies do not go upwards from above 0.
            R1 a 0 1; .ac lin 1e7 1 2 | line 3: These are more than 100000 frequencies.
            R1 a 0 1; .print ac v(b)  | line 3: There is no node “b”.
            R1 a 0 1; .print ac i(r1) | line 3: There is no voltage source “r1”.
            R1 a 0 1e400              | line 2: “1e400” is too large.
            + 1k                      | line 2: It continues nothing.
            ( , )                     | line 2: This is not an element.
            * nothing                 | the whole of it: There is no element in it.
            """)
    void names_the_line_of_what_it_cannot_read(String lines, String message) {
        assertThatThrownBy(() -> netlist(lines.split("; ")))
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining(message);
    }

    /** Noise in place of a netlist: an answer or a reason, soon. */
    @Test
    void survives_noise() {
        Random random = new Random(9);
        for (int round = 0; round < 2000; round++) {
            String text = random.ints(120, 0, 40)
                    .mapToObj(i -> "rclkviefgh01 2.\n+*;$()=,acdek-µΩ\t.op".substring(i % 36, i % 36 + 1))
                    .collect(Collectors.joining());
            try {
                Network network = new Network(netlist(text).circuit());
                Solution solution = network.at(1000);
                for (String node : network.circuit().nodes()) {
                    assertThat(solution.voltage(node).magnitude()).isFinite();
                }
            } catch (UnreadableFile | UnsolvableCircuit e) {
                assertThat(e.getMessage()).isNotBlank();
            }
        }
    }
}
