package kalodyne.core.gear.shelf;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import kalodyne.core.gear.Connector;

/**
 * Tells which connector somebody has in the hand, from what can be seen. Nobody needs to answer everything: each answer
 * leaves fewer.
 */
public final class PlugFinder {
    /** What can be asked. */
    public enum Question {
        SHAPE("What does its end look like?"),
        THICKNESS("How thick is the pin?"),
        BANDS("How many dark bands are round the pin?"),
        SIZE("How large is the end?");

        private final String words;

        Question(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** What can be answered. */
    public enum Answer {
        BANDED(Question.SHAPE, "a long pin with dark bands", "or a round hole for one"),
        PINS_IN_CIRCLE(Question.SHAPE, "several pins in a round shell", "or a round face with as many holes"),
        PIN_IN_RING(Question.SHAPE, "one thick pin in a metal ring", "or a ring with a hole in its middle"),
        FLAT(Question.SHAPE, "flat or square, for data", "a tongue of contacts inside"),
        WIRES(Question.SHAPE, "wires, screws or spades", "no plug at all"),
        SQUARE_LIGHT(Question.SHAPE, "square, with a red glow", "a little window inside"),
        THICK(Question.THICKNESS, "as a pencil", "6.35 mm"),
        THIN(Question.THICKNESS, "half of that", "3.5 mm"),
        ONE(Question.BANDS, "one", "two poles"),
        TWO(Question.BANDS, "two", "three poles"),
        THREE(Question.BANDS, "three", "four poles"),
        LARGE(Question.SIZE, "as a thumb", "18 mm or more"),
        MEDIUM(Question.SIZE, "as a finger nail", "7 to 14 mm"),
        SMALL(Question.SIZE, "smaller", "under 9 mm and flat");

        private final Question question;
        private final String words;
        private final String detail;

        Answer(Question question, String words, String detail) {
            this.question = question;
            this.words = words;
            this.detail = detail;
        }

        public Question question() {
            return question;
        }

        public String words() {
            return words;
        }

        public String detail() {
            return detail;
        }
    }

    private static final Map<Connector, Set<Answer>> LOOKS = looks();

    /**
     * A connector that it can be.
     *
     * @param connector which
     * @param meaning what such connectors are used for, and what looks the same but is not
     */
    public record Match(Connector connector, String meaning) {}

    private PlugFinder() {}

    /** All that agrees with the answers. */
    public static List<Match> matches(Set<Answer> answers) {
        List<Match> matches = new ArrayList<>();
        LOOKS.forEach((connector, looks) -> {
            if (looks.containsAll(answers)) {
                matches.add(new Match(connector, meaning(connector)));
            }
        });
        return matches;
    }

    /** The answers to a question that would leave something, but not everything; none where it would not help. */
    public static List<Answer> open(Question question, Set<Answer> answers) {
        List<Answer> possible = new ArrayList<>();
        int now = matches(answers).size();
        boolean helps = false;
        for (Answer answer : Answer.values()) {
            if (answer.question() == question && answers.stream().noneMatch(given -> given.question() == question)) {
                Set<Answer> more = new HashSet<>(answers);
                more.add(answer);
                int left = matches(more).size();
                if (left > 0) {
                    possible.add(answer);
                    helps |= left < now;
                }
            }
        }
        return helps ? possible : List.of();
    }

    private static Map<Connector, Set<Answer>> looks() {
        Map<Connector, Set<Answer>> looks = new TreeMap<>();
        looks.put(Connector.JACK_635_TS, Set.of(Answer.BANDED, Answer.THICK, Answer.ONE));
        looks.put(Connector.JACK_635_TRS, Set.of(Answer.BANDED, Answer.THICK, Answer.TWO));
        looks.put(Connector.JACK_35_TS, Set.of(Answer.BANDED, Answer.THIN, Answer.ONE));
        looks.put(Connector.JACK_35_TRS, Set.of(Answer.BANDED, Answer.THIN, Answer.TWO));
        looks.put(Connector.JACK_35_TRRS, Set.of(Answer.BANDED, Answer.THIN, Answer.THREE));
        looks.put(Connector.XLR, Set.of(Answer.PINS_IN_CIRCLE, Answer.LARGE));
        looks.put(Connector.DIN_5, Set.of(Answer.PINS_IN_CIRCLE, Answer.MEDIUM));
        looks.put(Connector.SPEAKER_LOCKING, Set.of(Answer.PINS_IN_CIRCLE, Answer.LARGE));
        looks.put(Connector.RCA, Set.of(Answer.PIN_IN_RING, Answer.MEDIUM));
        looks.put(Connector.USB_A, Set.of(Answer.FLAT, Answer.MEDIUM));
        looks.put(Connector.USB_B, Set.of(Answer.FLAT, Answer.MEDIUM));
        looks.put(Connector.USB_C, Set.of(Answer.FLAT, Answer.SMALL));
        looks.put(Connector.USB_MICRO_B, Set.of(Answer.FLAT, Answer.SMALL));
        looks.put(Connector.USB_MINI_B, Set.of(Answer.FLAT, Answer.SMALL));
        looks.put(Connector.DIGITAL_PORT, Set.of(Answer.FLAT, Answer.SMALL));
        looks.put(Connector.OPTICAL, Set.of(Answer.SQUARE_LIGHT));
        looks.put(Connector.POSTS, Set.of(Answer.WIRES));
        looks.put(Connector.BARE_WIRE, Set.of(Answer.WIRES));
        looks.put(Connector.EARTH_SPADE, Set.of(Answer.WIRES));
        return looks;
    }

    private static String meaning(Connector connector) {
        return switch (connector) {
            case JACK_635_TS ->
                "One signal, unbalanced: guitars, synths. Also on speaker leads, which are not screened.";
            case JACK_635_TRS ->
                "One balanced signal, or left and right for headphones, or send and return. They look the same.";
            case JACK_35_TS -> "One signal: modular synths, clock and sync.";
            case JACK_35_TRS -> "Left and right: headphones, players. Or a microphone for cameras, or MIDI.";
            case JACK_35_TRRS ->
                "Left, right and a microphone, for phones. Two orders exist that look the same: CTIA on newer phones, OMTP on old ones.";
            case XLR -> "A microphone or a balanced line. Pins send, holes receive.";
            case DIN_5 -> "MIDI: notes and clock. No sound.";
            case SPEAKER_LOCKING -> "From an amplifier to a loudspeaker, for nothing else. Turns to lock.";
            case RCA ->
                "Home and DJ gear, one signal a plug. Red is right. A turntable looks the same, and is much quieter.";
            case USB_A -> "To a computer, hub or charger.";
            case USB_B -> "The square one, on interfaces and mixers.";
            case USB_C -> "Goes in either way round: newer phones, computers, interfaces.";
            case USB_MICRO_B -> "Older phones and small gear. Thin, wider on one side.";
            case USB_MINI_B -> "Older recorders. Thicker than micro-B.";
            case DIGITAL_PORT -> "Some phones and tablets have a port of their own kind.";
            case OPTICAL -> "Digital sound as light.";
            case POSTS -> "Screws or springs on amplifiers and loudspeakers.";
            case BARE_WIRE -> "Loudspeaker wire.";
            case EARTH_SPADE -> "The earth of a turntable.";
            default -> "";
        };
    }
}
