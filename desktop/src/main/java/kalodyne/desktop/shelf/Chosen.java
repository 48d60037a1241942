package kalodyne.desktop.shelf;

import java.util.List;
import java.util.Optional;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Part;
import kalodyne.core.gear.Parts;

/** The thing on the shelf that is looked at. */
public sealed interface Chosen {
    String id();

    String name();

    String note();

    Optional<String> photo();

    List<Part> parts();

    record OfDevice(Device device) implements Chosen {
        @Override
        public String id() {
            return device.id();
        }

        @Override
        public String name() {
            return device.name();
        }

        @Override
        public String note() {
            return device.note();
        }

        @Override
        public Optional<String> photo() {
            return device.photo();
        }

        @Override
        public List<Part> parts() {
            return Parts.of(device);
        }
    }

    record OfLead(Lead lead) implements Chosen {
        @Override
        public String id() {
            return lead.id();
        }

        @Override
        public String name() {
            return lead.name();
        }

        @Override
        public String note() {
            return lead.note();
        }

        @Override
        public Optional<String> photo() {
            return lead.photo();
        }

        @Override
        public List<Part> parts() {
            return Parts.of(lead);
        }
    }
}
