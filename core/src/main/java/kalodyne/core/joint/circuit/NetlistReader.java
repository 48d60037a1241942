package kalodyne.core.joint.circuit;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kalodyne.core.files.json.Problem;
import kalodyne.core.files.json.TextFile;
import kalodyne.core.files.json.UnreadableFile;

/**
 * Reads the common part of the language of circuit simulators: linear elements, sources, {@code .ac}, {@code .op} and
 * {@code .print ac}. What is outside of it is named with its line. Capital letters do not matter.
 */
public final class NetlistReader {
    private static final int MOST_BYTES = 2_000_000;
    private static final int MOST_NODES = 1000;
    private static final Pattern PROBE =
            Pattern.compile("(vdb|vm|vp|v|i)\\(\\s*([^\\s,()]+)\\s*(?:,\\s*([^\\s,()]+)\\s*)?\\)");

    private final Path file;
    private final List<Problem> problems = new ArrayList<>();
    private final List<Element> elements = new ArrayList<>();
    private final Map<String, Integer> lines = new HashMap<>();
    private final List<Card> prints = new ArrayList<>();
    private double[] frequencies = {};
    private boolean isAtRest;

    /** A line with those that continue it. */
    private record Card(int line, String text) {}

    private NetlistReader(Path file) {
        this.file = file;
    }

    /**
     * Reads a file.
     *
     * @throws UnreadableFile where something in it cannot be read; says everything that is wrong
     */
    public static Netlist read(Path file) throws UnreadableFile {
        return read(file, TextFile.read(file, "netlist", MOST_BYTES));
    }

    /** Reads a text; the file is only named in messages. */
    static Netlist read(Path file, String text) throws UnreadableFile {
        return new NetlistReader(file).netlist(text);
    }

    private Netlist netlist(String text) throws UnreadableFile {
        String[] all = text.split("\\R", -1);
        for (Card card : cards(all)) {
            try {
                if (card.text().startsWith(".")) {
                    command(card);
                } else {
                    Element element = ElementLine.read(card.text());
                    if (lines.putIfAbsent(element.name(), card.line()) != null) {
                        throw new NetlistProblem(
                                "There is a “" + NetlistProblem.shown(element.name()) + "” already, in line "
                                        + lines.get(element.name()) + ".",
                                "Give it another name.");
                    }
                    elements.add(element);
                }
            } catch (NetlistProblem e) {
                add(card.line(), e.getMessage(), e.remedy());
            }
        }
        if (problems.isEmpty() && elements.isEmpty()) {
            problems.add(
                    Problem.ofWhole("There is no element in it.", "The first line is a title; write them below it."));
        }
        requireReadable();
        Circuit circuit = circuit();
        if (circuit.nodes().size() > MOST_NODES) {
            problems.add(Problem.ofWhole("It has more than " + MOST_NODES + " nodes.", "Take it apart."));
        }
        List<Probe> printed = printed(circuit);
        requireReadable();
        return new Netlist(
                all[0].strip(), circuit, Arrays.stream(frequencies).boxed().toList(), isAtRest, printed);
    }

    private void requireReadable() throws UnreadableFile {
        if (!problems.isEmpty()) {
            throw new UnreadableFile(file, problems);
        }
    }

    private void add(int line, String what, String remedy) {
        problems.add(new Problem("line " + line, what, remedy));
    }

    private Circuit circuit() throws UnreadableFile {
        try {
            return new Circuit(elements);
        } catch (Circuit.Flaw e) {
            add(lines.get(e.element()), e.getMessage(), "Correct it.");
            throw new UnreadableFile(file, problems);
        }
    }

    // --- lines -------------------------------------------------------------------------------------------------

    private List<Card> cards(String[] all) {
        List<Card> cards = new ArrayList<>();
        // The first line is the title, whatever stands in it.
        for (int i = 1; i < all.length; i++) {
            String line = bare(all[i]);
            if (line.equals(".end")) {
                break;
            }
            if (line.startsWith("+") && !cards.isEmpty()) {
                Card last = cards.remove(cards.size() - 1);
                cards.add(new Card(
                        last.line(), last.text() + " " + line.substring(1).strip()));
            } else if (line.startsWith("+")) {
                add(i + 1, "It continues nothing.", "Begin the element before it.");
            } else if (!line.isEmpty()) {
                cards.add(new Card(i + 1, line));
            }
        }
        return cards;
    }

    /** Without comments and the blanks around it. */
    private static String bare(String line) {
        String text = line.strip();
        if (text.startsWith("*")) {
            return "";
        }
        int end = text.indexOf(';');
        end = end < 0 ? text.length() : end;
        int dollar = text.indexOf("$ ");
        end = dollar < 0 ? end : Math.min(end, dollar);
        return text.substring(0, end).strip().toLowerCase(Locale.ROOT);
    }

    // --- commands ----------------------------------------------------------------------------------------------

    private void command(Card card) throws NetlistProblem {
        String[] words = card.text().split("\\s+");
        switch (words[0]) {
            case ".ac" -> frequencies = sweep(words).frequencies();
            case ".op" -> isAtRest = true;
            case ".print" -> prints.add(card);
            default ->
                throw new NetlistProblem(
                        "“" + NetlistProblem.shown(words[0]) + "” is not one of the commands that are read.",
                        "They are .ac, .op, .print ac and .end.");
        }
    }

    private static Sweep sweep(String[] words) throws NetlistProblem {
        if (words.length != 5 || !words[1].matches("lin|dec|oct")) {
            throw new NetlistProblem("These are not frequencies.", "Write for example .ac dec 10 20 20k.");
        }
        double points = NetlistNumber.read(words[2]);
        if (points != Math.rint(points) || Math.abs(points) > 1e9) {
            throw new NetlistProblem(
                    "“" + NetlistProblem.shown(words[2]) + "” is not a number of points.", "Write for example 10.");
        }
        return new Sweep(
                Sweep.Spacing.valueOf(words[1].toUpperCase(Locale.ROOT)),
                (int) points,
                NetlistNumber.read(words[3]),
                NetlistNumber.read(words[4]));
    }

    private List<Probe> printed(Circuit circuit) {
        List<Probe> probes = new ArrayList<>();
        for (Card card : prints) {
            try {
                probes.addAll(probes(card.text(), circuit));
            } catch (NetlistProblem e) {
                add(card.line(), e.getMessage(), e.remedy());
            }
        }
        return probes;
    }

    private List<Probe> probes(String text, Circuit circuit) throws NetlistProblem {
        String rest = text.substring(".print".length()).strip();
        if (!rest.startsWith("ac")) {
            throw new NetlistProblem("Only what .ac finds is printed.", "Write for example .print ac vdb(out).");
        }
        rest = rest.substring("ac".length()).strip();
        List<Probe> probes = new ArrayList<>();
        Matcher matcher = PROBE.matcher(rest);
        int at = 0;
        while (at < rest.length()) {
            matcher.region(at, rest.length());
            if (!matcher.lookingAt()) {
                throw new NetlistProblem(
                        "“" + NetlistProblem.shown(rest.substring(at)) + "” cannot be printed.",
                        "v, vm, vdb and vp of one node or two, and i of a voltage source, can.");
            }
            probes.add(probe(matcher, circuit));
            at = matcher.end();
            while (at < rest.length() && Character.isWhitespace(rest.charAt(at))) {
                at++;
            }
        }
        return probes;
    }

    private static Probe probe(Matcher matcher, Circuit circuit) throws NetlistProblem {
        String first = ElementLine.node(matcher.group(2));
        String second = matcher.group(3) == null ? Circuit.GROUND : ElementLine.node(matcher.group(3));
        if (matcher.group(1).equals("i")) {
            boolean isThere = circuit.elements().stream()
                    .anyMatch(element -> element instanceof Element.VoltageSource
                            && element.name().equals(first));
            require(isThere, "voltage source", first);
            return new Probe(Probe.Kind.CURRENT, first, second);
        }
        List<String> nodes = circuit.nodes();
        require(nodes.contains(first) || first.equals(Circuit.GROUND), "node", first);
        require(nodes.contains(second) || second.equals(Circuit.GROUND), "node", second);
        Probe.Kind kind = Arrays.stream(Probe.Kind.values())
                .filter(each -> each.word().equals(matcher.group(1)))
                .findFirst()
                .orElseThrow();
        return new Probe(kind, first, second);
    }

    private static void require(boolean isThere, String kind, String name) throws NetlistProblem {
        if (!isThere) {
            throw new NetlistProblem(
                    "There is no " + kind + " “" + NetlistProblem.shown(name) + "”.", "Check its name.");
        }
    }
}
