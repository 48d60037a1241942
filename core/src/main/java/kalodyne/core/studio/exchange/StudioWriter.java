package kalodyne.core.studio.exchange;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import kalodyne.core.files.json.JsonFormat;
import kalodyne.core.gear.file.GearWriter;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.SettingsMapping;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.SetupWriter;
import kalodyne.core.studio.setup.WishMapping;

/** Writes a studio, or a part of one, as JSON that {@link StudioReader} reads back to an equal one. */
public final class StudioWriter {
    private static final JsonMapper MAPPER = new JsonMapper();

    private StudioWriter() {}

    /** With a line break at its end. */
    public static String write(Studio studio) {
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("format", JsonFormat.STUDIO.mark()).put("version", JsonFormat.STUDIO.version());
        root.put("name", studio.name());
        ArrayNode devices = root.putArray("devices");
        studio.devices().forEach(device -> devices.add(GearWriter.device(device)));
        ArrayNode leads = root.putArray("leads");
        studio.leads().forEach(lead -> leads.add(GearWriter.lead(lead)));
        ArrayNode setups = root.putArray("setups");
        studio.setups().forEach(setup -> setups.add(setup(setup)));
        try {
            return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    private static ObjectNode setup(Setup setup) {
        ObjectNode node = JsonNodeFactory.instance.objectNode().put("id", setup.id());
        node.setAll(SetupWriter.setup(setup));
        SetupWriter.wiring(node, setup.wiring());
        SettingsMapping.write(node, setup.settings());
        WishMapping.write(node, setup.wish());
        return node;
    }
}
