package kalodyne.command;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.file.Path;
import java.util.List;
import kalodyne.core.runsheet.RunSheet;
import kalodyne.core.runsheet.Step;
import kalodyne.core.runsheet.Task;

/** A run sheet as docs/formats/runsheet.md describes it. */
final class RunsheetJson {
    private RunsheetJson() {}

    static ObjectNode of(Path file, String studio, RunSheet sheet) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("file", file.toString());
        node.put("studio", studio);
        node.put("setup", sheet.title());
        node.put("untilTakeSeconds", sheet.untilTake().toSeconds());
        ArrayNode steps = node.putArray("steps");
        List<Task> tasks = sheet.tasks();
        int number = 0;
        for (int i = 0; i < tasks.size(); i++) {
            for (Step step : tasks.get(i).parts()) {
                ObjectNode object = steps.addObject();
                step(object, sheet, step, ++number);
                object.putObject("task")
                        .put("number", i + 1)
                        .put("title", tasks.get(i).title());
            }
        }
        ArrayNode lasting = node.putArray("lasting");
        sheet.lasting()
                .forEach(each -> lasting.addObject()
                        .put("what", each.what())
                        .put("words", each.words())
                        .put("isEnough", each.isEnough()));
        ArrayNode findings = node.putArray("findings");
        sheet.findings().forEach(finding -> findings.add(JointJson.finding(finding)));
        return node;
    }

    private static void step(ObjectNode node, RunSheet sheet, Step step, int number) {
        node.put("number", number);
        node.put("id", step.id());
        node.put("section", step.section().word());
        node.put("act", step.act().word());
        node.put("title", step.title());
        node.put("detail", step.detail());
        node.put("expect", step.tell());
        node.put("reason", step.reason());
        step.caution()
                .ifPresentOrElse(
                        caution -> node.putObject("caution")
                                .put("severity", caution.severity().word())
                                .put("words", caution.words()),
                        () -> node.putNull("caution"));
        step.pause()
                .ifPresentOrElse(
                        pause -> node.put("waitSeconds", pause.toSeconds()), () -> node.putNull("waitSeconds"));
        ArrayNode gear = node.putArray("gear");
        step.gear().forEach(gear::add);
        step.run().ifPresentOrElse(run -> node.put("run", run), () -> node.putNull("run"));
        ArrayNode after = node.putArray("after");
        sheet.before(step)
                .forEach(order -> after.addObject()
                        .put("step", order.before())
                        .put("strength", order.strength().word())
                        .put("why", order.why()));
    }
}
