package kalodyne.core.setup;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.run.Run;
import kalodyne.core.units.UnreadableQuantity;

/**
 * One way of connecting a studio.
 *
 * @param studio whose it is: "The Boathouse"
 * @param name "Sunday trio"
 * @param runs each with a name of its own
 * @param takes in the order in which they were added
 */
public record Setup(String studio, String name, List<Run> runs, List<Take> takes) {
    /** Of names anywhere in a setup, as the schema says. */
    private static final int LONGEST_NAME = 120;

    public Setup {
        runs = List.copyOf(runs);
        takes = List.copyOf(takes);
    }

    /**
     * A name as somebody typed it, without the blanks around it.
     *
     * @throws UnreadableQuantity where a setup cannot hold it
     */
    public static String checkedName(String typed) {
        String name = typed.strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            throw new UnreadableQuantity(
                    "A name has 1 to " + LONGEST_NAME + " letters.", name.isEmpty() ? "Write one." : "Shorten it.");
        }
        return name;
    }

    /** What a new user starts with. */
    public static Setup empty() {
        return new Setup("My studio", "First setup", List.of(), List.of());
    }

    public Optional<Run> run(String runName) {
        return runs.stream().filter(run -> run.name().equals(runName)).findFirst();
    }

    /** The takes of a run, oldest first. */
    public List<Take> takesOf(String runName) {
        return takes.stream().filter(take -> take.run().equals(runName)).toList();
    }

    /** The same setup with one run changed; its takes follow a new name. */
    public Setup replacing(String runName, Run changed) {
        List<Run> newRuns = runs.stream()
                .map(run -> run.name().equals(runName) ? changed : run)
                .toList();
        List<Take> newTakes = takes.stream()
                .map(take -> take.run().equals(runName)
                        ? new Take(take.name(), changed.name(), take.file(), take.at(), take.positions())
                        : take)
                .toList();
        return new Setup(studio, name, newRuns, newTakes);
    }

    public Setup named(String newStudio, String newName) {
        return new Setup(newStudio, newName, runs, takes);
    }

    /** With one more run, whose name gets a number where it is taken. */
    public Setup with(Run run) {
        String free = Stream.iterate(1, number -> number + 1)
                .map(number -> number == 1 ? run.name() : run.name() + " " + number)
                .filter(candidate -> run(candidate).isEmpty())
                .findFirst()
                .orElseThrow();
        List<Run> more = new ArrayList<>(runs);
        more.add(run.withName(free));
        return new Setup(studio, name, more, takes);
    }

    /** Without a run and its takes. */
    public Setup without(String runName) {
        return new Setup(
                studio,
                name,
                runs.stream().filter(run -> !run.name().equals(runName)).toList(),
                takes.stream().filter(take -> !take.run().equals(runName)).toList());
    }

    /** With one more take. */
    public Setup with(Take take) {
        List<Take> more = new ArrayList<>(takes);
        more.add(take);
        return new Setup(studio, name, runs, more);
    }

    /** Without a take; the recording itself stays where it is. */
    public Setup without(Take take) {
        return new Setup(
                studio,
                name,
                runs,
                takes.stream().filter(each -> !each.equals(take)).toList());
    }
}
