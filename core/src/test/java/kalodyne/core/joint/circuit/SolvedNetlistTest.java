package kalodyne.core.joint.circuit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What a netlist asks for, against what anybody works out with Ohm's law. */
class SolvedNetlistTest {
    @TempDir
    Path folder;

    private SolvedNetlist solved(String netlist) throws IOException, UnsolvableCircuit {
        return SolvedNetlist.of(NetlistReader.read(Files.writeString(folder.resolve("net.cir"), netlist)));
    }

    /** 10 kΩ over 1 kΩ: −20.8 dB of 1 V, 1 V / 11 kΩ out of the source, whose current counts into its plus. */
    @Test
    void a_divider() throws Exception {
        SolvedNetlist solved = solved("""
                * a divider
                v1 in 0 dc 11 ac 1
                r1 in out 10k
                r2 out 0 1k
                .op
                .ac lin 1 1k 1k
                .print ac vdb(out) vm(in,out)
                .end
                """);
        assertThat(solved.nodes().keySet()).containsExactlyInAnyOrder("in", "out");
        assertThat(solved.nodes().get("out").get(0).re()).isCloseTo(1 / 11.0, within(1e-12));
        assertThat(solved.currents().get("v1").get(0).re()).isCloseTo(-1 / 11e3, within(1e-15));
        assertThat(solved.atRest().get("out")).isCloseTo(1, within(1e-9));
        assertThat(solved.atRest().get("i(v1)")).isCloseTo(-1e-3, within(1e-12));
        assertThat(solved.adrift()).isEmpty();
        assertThat(solved.told().values().stream().map(values -> values.get(0).re()))
                .satisfiesExactly(
                        decibels -> assertThat(decibels).isCloseTo(-20.828, within(5e-4)),
                        across -> assertThat(across).isCloseTo(10 / 11.0, within(1e-12)));
    }

    /** 1 kΩ and 159.155 nF have their corner at 1 kHz: −3.01 dB there; a decade above −20.04 dB. */
    @Test
    void without_a_print_every_node_is_told_in_decibels() throws Exception {
        SolvedNetlist solved = solved("""
                * a corner
                v1 in 0 ac 1
                r1 in out 1k
                c1 out 0 159.155n
                .ac dec 1 1k 10k
                .end
                """);
        assertThat(solved.atRest()).isEmpty();
        Map<Probe, List<Complex>> told = solved.told();
        List<Complex> out = told.entrySet().stream()
                .filter(each -> each.getKey().toString().contains("out"))
                .map(Map.Entry::getValue)
                .findFirst()
                .orElseThrow();
        assertThat(out.get(0).re()).isCloseTo(-3.0103, within(1e-3));
        assertThat(out.get(1).re()).isCloseTo(-20.043, within(1e-2));
    }

    /** Behind a capacitor nothing ties the two nodes to the ground at rest: it is said, and they lie at the ground. */
    @Test
    void what_floats_at_rest_is_named() throws Exception {
        SolvedNetlist solved = solved("""
                * floating
                v1 in 0 dc 5 ac 1
                c1 in a 1u
                r1 a b 1k
                .op
                .end
                """);
        assertThat(solved.adrift()).containsExactly("a");
        assertThat(solved.atRest().get("b")).isZero();
    }
}
