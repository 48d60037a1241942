package kalodyne.desktop.hookup;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.gear.Carries;
import kalodyne.core.joint.OutputSignal;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Transfer;
import kalodyne.core.joint.rules.Cure;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.units.Computed;
import kalodyne.core.units.Print;

/** What of each signal arrives where, as words and as lines of a picture. */
final class Arriving {
    private static final int MOST_CURVES = 4;

    private Arriving() {}

    /** Of each signal the way on which most of it arrives in another device. */
    static List<Transfer> ways(Checked joint) {
        Map<OutputSignal, Transfer> best = new LinkedHashMap<>();
        joint.reading().stream()
                .flatMap(reading -> reading.ways().stream())
                .forEach(way -> best.merge(
                        way.from(),
                        way,
                        (a, b) -> a.atMiddle().db() >= b.atMiddle().db() ? a : b));
        return best.values().stream().limit(MOST_CURVES).toList();
    }

    /** The lines of a picture: each way, and what is alike in left and right where both arrive as one. */
    static List<ResponseCurve.Curve> curves(Checked joint) {
        List<Transfer> ways = ways(joint);
        return Stream.concat(
                        ways.stream()
                                .map(way -> new ResponseCurve.Curve(
                                        words(joint.patch(), way, ways), way, ResponseCurve.Line.OWN)),
                        together(ways).stream())
                .toList();
    }

    /** The same of another joint, to stand beside them. */
    static List<ResponseCurve.Curve> compared(Cure cure) {
        return cure.joints().stream()
                .flatMap(joint -> {
                    List<Transfer> ways = ways(joint);
                    return ways.stream()
                            .map(way -> new ResponseCurve.Curve(
                                    cure.words() + ": " + words(joint.patch(), way, ways),
                                    way,
                                    ResponseCurve.Line.OTHER));
                })
                .toList();
    }

    /** What arrives of something that is alike in left and right, as a voice or a bass. */
    private static Optional<ResponseCurve.Curve> together(List<Transfer> ways) {
        return ways.stream()
                .filter(left -> left.from().channel() == Carries.LEFT)
                .flatMap(left -> ways.stream()
                        .filter(right -> right.from().channel() == Carries.RIGHT
                                && right.to().equals(left.to()))
                        .map(right -> new ResponseCurve.Curve(
                                "what is alike in left and right", left.with(right), ResponseCurve.Line.SUM)))
                .findFirst();
    }

    /** By what its contacts carry, "left → hot"; where another way has the same, by its sockets, "Cartridge L → Phono in L". */
    private static String words(Patch patch, Transfer way, List<Transfer> ways) {
        String channels =
                way.from().channel().word() + " → " + way.to().channel().word();
        boolean isAlone = ways.stream()
                .allMatch(other -> other.equals(way)
                        || other.from().channel() != way.from().channel()
                        || other.to().channel() != way.to().channel());
        return isAlone
                ? channels
                : name(patch, way.from().socket()) + " → "
                        + name(patch, way.to().socket());
    }

    private static String name(Patch patch, Spot spot) {
        return patch.socket(spot).orElseThrow().name();
    }

    static String inWords(Checked joint) {
        List<Transfer> ways = ways(joint);
        List<String> words = new ArrayList<>();
        for (Transfer way : ways) {
            double db = way.atMiddle().db();
            words.add(words(joint.patch(), way, ways) + ": "
                    + (db < -100 ? "nothing arrives" : Print.decimal(db, 1) + " dB at 1 kHz")
                    + (db > -100 && way.at(1000).re() < 0 ? ", inverted" : "")
                    + way.lowCorner().stream()
                            .filter(hertz -> hertz > 20)
                            .mapToObj(hertz -> ", 3 dB down at " + Computed.frequency(hertz))
                            .findFirst()
                            .orElse("")
                    + way.highCorner().stream()
                            .filter(hertz -> hertz < 20_000)
                            .mapToObj(hertz -> ", 3 dB down at " + Computed.frequency(hertz))
                            .findFirst()
                            .orElse(""));
        }
        return "What arrives of the open-circuit source. " + String.join("; ", words) + ".";
    }
}
