package kalodyne.core.joint;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kalodyne.core.gear.Contact;
import kalodyne.core.joint.circuit.Circuit;
import kalodyne.core.joint.circuit.Element;

/** A circuit while it is being built: gives names that any simulator reads, and leaves out what is not worth a part. */
final class Board {
    private static final double MOST_OF_WIRES_OHMS = 100;

    private final List<Element> elements = new ArrayList<>();
    private final Map<String, String> nodes = new HashMap<>();
    private final Set<String> taken = new HashSet<>(Set.of(Circuit.GROUND));

    /** The node of a contact of a socket or an end. */
    String node(Spot spot, Contact contact) {
        return node(spot.write() + " " + contact.word());
    }

    /** The node that is known by these words, which need not be a name. */
    String node(String words) {
        return nodes.computeIfAbsent(words, key -> {
            String plain = plain(key);
            String name = plain;
            for (int number = 2; !taken.add(name); number++) {
                name = plain + "_" + number;
            }
            return name;
        });
    }

    /** In small letters and digits; what else there is becomes a line between them. */
    private static String plain(String words) {
        StringBuilder plain = new StringBuilder();
        for (int i = 0; i < words.length(); i++) {
            char letter = words.charAt(i);
            if (Character.isLetterOrDigit(letter) && letter < 128) {
                plain.append(Character.toLowerCase(letter));
            } else if (letter == '+') {
                plain.append("plus");
            } else if (letter == '-' && i == words.length() - 1) {
                plain.append("minus");
            } else if (plain.length() > 0 && plain.charAt(plain.length() - 1) != '_') {
                plain.append('_');
            }
        }
        return plain.toString();
    }

    /** A resistor; gives its name. */
    String resistor(String one, String other, double ohms) {
        String name = name("r");
        elements.add(new Element.Resistor(name, one, other, ohms));
        return name;
    }

    /** A capacitor; gives its name. Where there is none, nothing is added. */
    String capacitor(String one, String other, double farads) {
        String name = name("c");
        if (farads > 0) {
            elements.add(new Element.Capacitor(name, one, other, farads));
        }
        return name;
    }

    void inductor(String one, String other, double henries) {
        elements.add(new Element.Inductor(name("l"), one, other, henries));
    }

    /** A source of voltage; gives its name. */
    String voltage(String plus, String minus, Element.Drive drive) {
        String name = name("v");
        elements.add(new Element.VoltageSource(name, plus, minus, drive));
        return name;
    }

    /** A current from one to the other, whatever the voltage between them. */
    void current(String from, String to, Element.Drive drive) {
        elements.add(new Element.CurrentSource(name("i"), from, to, drive));
    }

    /** Whether wires lead from a node to a source of voltage. */
    boolean isFed(String node) {
        Set<String> reached = new HashSet<>(Set.of(node));
        List<Element.Resistor> wires = elements.stream()
                .filter(Element.Resistor.class::isInstance)
                .map(Element.Resistor.class::cast)
                .filter(wire -> wire.ohms() < MOST_OF_WIRES_OHMS)
                .toList();
        int before = 0;
        while (before < reached.size()) {
            before = reached.size();
            for (Element.Resistor wire : wires) {
                if (reached.contains(wire.plus()) || reached.contains(wire.minus())) {
                    reached.addAll(List.of(wire.plus(), wire.minus()));
                }
            }
        }
        return elements.stream()
                .anyMatch(
                        element -> element instanceof Element.VoltageSource source && reached.contains(source.plus()));
    }

    /** A voltage that follows another one. */
    void follower(String plus, String minus, String sensePlus, String senseMinus, double gain) {
        elements.add(new Element.VoltageByVoltage(name("e"), plus, minus, sensePlus, senseMinus, gain));
    }

    /** A current from plus to minus that follows the one through a source of voltage. */
    void currentFollower(String plus, String minus, String source, double gain) {
        elements.add(new Element.CurrentByCurrent(name("f"), plus, minus, source, gain));
    }

    private String name(String kind) {
        return kind + (elements.size() + 1);
    }

    Circuit circuit() {
        return new Circuit(elements);
    }
}
