package kalodyne.core.studio.exchange;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kalodyne.core.files.json.Problem;

/** Which line of a table each place of the JSON is from that was made of it, so that messages can point there. */
final class LineNumbers {
    private final Map<String, Long> lines = new HashMap<>();

    /** The line that last said something about a place. */
    void put(String place, long line) {
        lines.put(place, line);
    }

    /** The same problems, with the line in the table instead of the place in the JSON. */
    List<Problem> translated(List<Problem> problems) {
        return problems.stream()
                .map(problem -> new Problem(place(problem.place()), problem.what(), problem.remedy()))
                .toList();
    }

    private String place(String jsonPlace) {
        String path = jsonPlace.replaceFirst(",? ?line \\d+$", "");
        for (String at = path; !at.isEmpty(); at = at.contains(" › ") ? at.substring(0, at.lastIndexOf(" › ")) : "") {
            Long line = lines.get(at);
            if (line != null) {
                return "line " + line + " (" + path + ")";
            }
        }
        return path.isEmpty() ? "the whole of it" : path;
    }
}
