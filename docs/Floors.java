import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.spi.ToolProvider;

/**
 * Draws the floors of the core from its compiled classes: each room one floor above the highest that it uses, and under its name what
 * it uses. Run from the project's root after a build:
 *
 * <pre>java docs/Floors.java core/target/classes > docs/floors.svg</pre>
 */
public final class Floors {
    private static final Pattern USE =
            Pattern.compile("\\s+kalodyne\\.core\\.(\\w+)[\\w.]*\\s+->\\s+kalodyne\\.core\\.(\\w+).*");
    private static final int ROOM_WIDTH = 216;
    private static final int FLOOR_HEIGHT = 84;
    private static final int LETTERS = 34;

    private final Map<String, Set<String>> uses = new TreeMap<>();

    private Floors() {}

    public static void main(String[] classes) {
        Floors floors = new Floors();
        floors.read(classes[0]);
        new PrintStream(System.out, true, StandardCharsets.UTF_8).print(floors.svg());
    }

    private void read(String classes) {
        ByteArrayOutputStream told = new ByteArrayOutputStream();
        PrintStream out = new PrintStream(told, true, StandardCharsets.UTF_8);
        ToolProvider.findFirst("jdeps").orElseThrow().run(out, System.err, "-verbose:package", classes);
        told.toString(StandardCharsets.UTF_8).lines().map(USE::matcher).filter(Matcher::matches).forEach(use -> {
            uses.computeIfAbsent(use.group(1), room -> new TreeSet<>());
            uses.computeIfAbsent(use.group(2), room -> new TreeSet<>());
            if (!use.group(1).equals(use.group(2))) {
                uses.get(use.group(1)).add(use.group(2));
            }
        });
    }

    private int floor(String room) {
        return 1 + uses.get(room).stream().mapToInt(this::floor).max().orElse(0);
    }

    private String svg() {
        Map<Integer, List<String>> floors = new TreeMap<>();
        uses.keySet().forEach(room -> floors.computeIfAbsent(floor(room), floor -> new ArrayList<>()).add(room));
        int most = floors.values().stream().mapToInt(List::size).max().orElse(1);
        StringBuilder svg = new StringBuilder();
        svg.append("<svg xmlns=\"http://www.w3.org/2000/svg\" font-family=\"sans-serif\" width=\"%d\" height=\"%d\">%n"
                .formatted(most * ROOM_WIDTH + 48, floors.size() * FLOOR_HEIGHT + 16));
        svg.append("<rect width=\"100%\" height=\"100%\" fill=\"#F3F5F1\"/>\n");
        floors.forEach((floor, rooms) -> {
            int y = (floors.size() - floor) * FLOOR_HEIGHT + 12;
            svg.append(text(10, y + 28, 15, "#626D65", String.valueOf(floor)));
            for (int i = 0; i < rooms.size(); i++) {
                room(svg, 36 + i * ROOM_WIDTH, y, rooms.get(i));
            }
        });
        return svg.append("</svg>\n").toString();
    }

    private void room(StringBuilder svg, int x, int y, String room) {
        svg.append("<rect x=\"%d\" y=\"%d\" width=\"%d\" height=\"%d\" rx=\"6\" fill=\"#FFFFFF\" stroke=\"#D3D9D1\"/>%n"
                .formatted(x, y, ROOM_WIDTH - 10, FLOOR_HEIGHT - 12));
        svg.append(text(x + 10, y + 22, 15, "#18221D", room));
        int line = 0;
        StringBuilder words = new StringBuilder();
        for (String used : uses.get(room)) {
            if (words.length() + used.length() > LETTERS) {
                svg.append(text(x + 10, y + 40 + 15 * line++, 11, "#4F5C55", words.toString()));
                words.setLength(0);
            }
            words.append(words.length() == 0 ? "" : ", ").append(used);
        }
        svg.append(text(x + 10, y + 40 + 15 * line, 11, "#4F5C55", words.toString()));
    }

    private static String text(int x, int y, int size, String colour, String words) {
        return "<text x=\"%d\" y=\"%d\" font-size=\"%d\" fill=\"%s\">%s</text>%n".formatted(x, y, size, colour, words);
    }
}
