package kalodyne.core.studio.exchange;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import kalodyne.core.files.json.JsonFormat;
import kalodyne.core.gear.file.GearForms;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.practised.Answer;
import kalodyne.core.studio.setup.SetupForms;

/** Writes a studio, or a part of one, as JSON that {@link StudioReader} reads back to an equal one. */
public final class StudioWriter {
    private static final JsonMapper MAPPER = new JsonMapper();

    private StudioWriter() {}

    /** With a line break at its end. */
    public static String write(Studio studio) {
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("format", JsonFormat.STUDIO.mark()).put("version", JsonFormat.STUDIO.version());
        root.put("name", studio.name());
        GearForms gear = new GearForms();
        ArrayNode devices = root.putArray("devices");
        studio.devices().forEach(device -> devices.add(gear.device().write(device)));
        ArrayNode leads = root.putArray("leads");
        studio.leads().forEach(lead -> leads.add(gear.lead().write(lead)));
        ArrayNode setups = root.putArray("setups");
        studio.setups().forEach(setup -> setups.add(SetupForms.SETUP.write(setup)));
        if (!studio.practised().isEmpty()) {
            ArrayNode practised = root.putArray("practised");
            studio.practised().forEach(answer -> practised.add(Answer.FORM.write(answer)));
        }
        try {
            return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }
}
