package kalodyne.core.joint;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import java.util.Optional;
import kalodyne.core.findings.Finding;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.testing.Plugged;
import kalodyne.core.testing.Typed;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * From which value on a rule speaks. Each limit was calculated by hand from the circuit: what is said a little below it and a little
 * above it, in the direction of the last column.
 */
class ThresholdsTest {
    /**
     * Dividers: R·(10^(dB/20) − 1) in series with R, where R is what one leg of the input shows to the ground, and that of what is
     * normalled to it. Corners: 1/(2πRC), of all that lies in parallel; the fall is told against 1 kHz, which
     * moves it by a few per cent. Lengths and capacitances: the usual one times the margin.
     */
    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "none", textBlock = """
            synth-analogue.out ts-ts interface-4.line-3 | synth-analogue socket out sourceImpedance=%s Ω | joint.loading | none → weak | 1885 | 0.01
            synth-analogue.out ts-ts interface-4.line-3 | synth-analogue socket out sourceImpedance=%s Ω | joint.loading | weak → wrong | 9953 | 0.01
            synth-analogue.out ts-ts mixer-rack.in-1-left | synth-analogue socket out sourceImpedance=%s Ω | joint.loading | none → weak | 3770 | 0.01
            synth-analogue.out ts-ts interface-4.line-3 | ts-ts lead capacitancePerMetre=%s nF/m | response.dull | none → weak | 3.583 | 0.03
            synth-analogue.out ts-ts interface-4.line-3 | ts-ts lead capacitancePerMetre=%s nF/m | response.dull | weak → wrong | 9.556 | 0.06
            synth-analogue.out ts-ts interface-4.line-3 | ts-ts lead length=%s m | lead.long | none → note | 3.3 | 0.01
            synth-digital.out-left trs-trs interface-4.line-3 | trs-trs lead length=%s m | lead.long | none → note | 330 | 0.01
            synth-analogue.out ts-ts interface-4.line-3 | synth-analogue socket out loudestPeak=%s dBu | level.overload | none → weak | 20.83 | 0.01
            mic-dynamic-voice.out xlr-headset phone-ctia.headset | mic-dynamic-voice socket out sourceImpedance=%s kΩ | headset.mic-open | none → weak | 50 | 0.1
            """)
    void speaks_from_here_on(String rig, String change, String mark, String fromTo, double limit, double tolerance) {
        String[] sides = fromTo.split(" → ", -1);
        double below = limit * (1 - Math.copySign(tolerance, limit));
        double above = limit * (1 + Math.copySign(tolerance, limit));
        assertThat(said(rig, change, below, mark)).as("at %.4g", below).isEqualTo(sides[0]);
        assertThat(said(rig, change, above, mark)).as("at %.4g", above).isEqualTo(sides[1]);
    }

    private static String said(String rig, String change, double value, String mark) {
        Patch patch = Typed.over(
                Plugged.of(rig), String.format(Locale.ROOT, change, String.format(Locale.ROOT, "%.6f", value)));
        Optional<Finding> found = JointRules.check(patch).stream()
                .flatMap(joint -> joint.findings().stream())
                .filter(finding -> finding.mark().equals(mark))
                .findFirst();
        return found.map(finding -> finding.severity().word()).orElse("none");
    }
}
