package kalodyne.command;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import kalodyne.core.files.json.Problem;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.exchange.AnyStudio;
import kalodyne.core.studio.setup.Setup;

/**
 * The setup that a command is about, computed.
 *
 * @param studio that it belongs to
 * @param setup the one that was named, else the first
 * @param patch what is plugged in it
 * @param joints what comes of that
 * @param levels along its runs
 */
record ChosenSetup(Studio studio, Setup setup, Patch patch, List<Checked> joints, SetupLevels levels) {
    ChosenSetup {
        joints = List.copyOf(joints);
    }

    /** Reads a setup or a studio in JSON, or a studio file. */
    static ChosenSetup read(Path file, Optional<String> name) throws UnreadableFile {
        Studio studio = AnyStudio.read(file);
        Setup setup = studio.setups().stream()
                .filter(each -> name.map(each.name()::equals).orElse(true))
                .findFirst()
                .orElseThrow(() -> new UnreadableFile(file, notThere(studio)));
        Patch patch = studio.patch(setup);
        List<Checked> joints = JointRules.check(patch, studio.devices());
        return new ChosenSetup(studio, setup, patch, joints, SetupLevels.of(joints, patch, setup.settings()));
    }

    private static Problem notThere(Studio studio) {
        return Problem.ofWhole(
                "There is no such setup in it.",
                studio.setups().isEmpty()
                        ? "Choose a file with a setup."
                        : "Choose one of: "
                                + studio.setups().stream().map(Setup::name).collect(Collectors.joining(", ")) + ".");
    }

    /** What a command prints as JSON where its file could not be read. */
    static ObjectNode unreadable(UnreadableFile problem) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("file", problem.fileName());
        ArrayNode problems = node.putArray("problems");
        problem.problems()
                .forEach(each -> problems.addObject()
                        .put("place", each.place())
                        .put("problem", each.what())
                        .put("remedy", each.remedy()));
        return node;
    }
}
