package kalodyne.core.joint.circuit;

import java.util.Arrays;
import java.util.List;

/** Reads the line of one element, such as "R1 in out 4.7k". */
final class ElementLine {
    private final String name;
    private final List<String> words;
    private int at = 1;

    private ElementLine(String text) {
        // Brackets and commas only part words, as in simulators.
        words = Arrays.asList(text.replaceAll("[(),]", " ").strip().split("\\s+"));
        name = words.get(0);
    }

    /**
     * Reads one.
     *
     * @param text in small letters
     * @throws NetlistProblem where it is none
     */
    static Element read(String text) throws NetlistProblem {
        if (text.replaceAll("[(),\\s]", "").isEmpty()) {
            throw new NetlistProblem("This is not an element.", "Write for example R1 in out 4.7k.");
        }
        ElementLine line = new ElementLine(text);
        Element element = line.element();
        if (line.at < line.words.size()) {
            throw new NetlistProblem(
                    "“" + NetlistProblem.shown(line.words.get(line.at)) + "” is more than what is read of “"
                            + NetlistProblem.shown(line.name) + "”.",
                    "Leave it out.");
        }
        return element;
    }

    private Element element() throws NetlistProblem {
        return switch (name.charAt(0)) {
            case 'r' -> new Element.Resistor(name, node(), node(), number());
            case 'c' -> new Element.Capacitor(name, node(), node(), number());
            case 'l' -> new Element.Inductor(name, node(), node(), number());
            case 'k' -> new Element.Coupling(name, word("an inductor"), word("an inductor"), number());
            case 'v' -> new Element.VoltageSource(name, node(), node(), drive());
            case 'i' -> new Element.CurrentSource(name, node(), node(), drive());
            case 'e' -> new Element.VoltageByVoltage(name, node(), node(), node(), node(), number());
            case 'g' -> new Element.CurrentByVoltage(name, node(), node(), node(), node(), number());
            case 'h' -> new Element.VoltageByCurrent(name, node(), node(), word("a voltage source"), number());
            case 'f' -> new Element.CurrentByCurrent(name, node(), node(), word("a voltage source"), number());
            default ->
                throw new NetlistProblem(
                        "“" + NetlistProblem.shown(name) + "” is not of a kind that is read.",
                        "R, C, L, K, V, I, E, F, G and H are.");
        };
    }

    private boolean hasMore() {
        return at < words.size();
    }

    private String word(String what) throws NetlistProblem {
        if (!hasMore()) {
            throw new NetlistProblem(
                    "“" + NetlistProblem.shown(name) + "” ends before " + what + " is named.", "Write it behind.");
        }
        return words.get(at++);
    }

    private String node() throws NetlistProblem {
        return node(word("a node"));
    }

    /** The ground has two names. */
    static String node(String word) {
        return word.equals("gnd") ? Circuit.GROUND : word;
    }

    private double number() throws NetlistProblem {
        return NetlistNumber.read(word("a number"));
    }

    /** "5", "dc 5", "ac 1 90", in any order; nothing is 0. */
    private Element.Drive drive() throws NetlistProblem {
        double dc = 0;
        double ac = 0;
        double phase = 0;
        boolean isFirst = true;
        while (hasMore()) {
            String word = words.get(at);
            if (word.equals("dc")) {
                at++;
                dc = number();
            } else if (word.equals("ac")) {
                at++;
                ac = isNumberNext() ? number() : 1;
                phase = isNumberNext() ? number() : 0;
            } else if (isFirst) {
                dc = number();
            } else {
                // Something else follows, which whoever called will name.
                break;
            }
            isFirst = false;
        }
        return new Element.Drive(dc, ac, phase);
    }

    private boolean isNumberNext() {
        return hasMore() && words.get(at).matches("[+-]?[.\\d].*");
    }
}
