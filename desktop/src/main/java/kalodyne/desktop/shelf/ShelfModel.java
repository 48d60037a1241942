package kalodyne.desktop.shelf;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import kalodyne.core.findings.Finding;
import kalodyne.core.gear.ControlRange;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Facts;
import kalodyne.core.gear.Ids;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Names;
import kalodyne.core.gear.Part;
import kalodyne.core.gear.Parts;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.Value;
import kalodyne.core.gear.shelf.GoesWith;
import kalodyne.core.gear.shelf.Offer;
import kalodyne.core.gear.shelf.Plausible;
import kalodyne.core.gear.shelf.SearchText;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.Whereabouts;
import kalodyne.core.units.Print;
import kalodyne.core.units.UnreadableQuantity;
import kalodyne.desktop.model.Photos;
import kalodyne.desktop.model.StudioModel;

/** The shelf: what is searched for, what is chosen, and every command that changes gear and leads. */
public final class ShelfModel {
    private static final int MOST_OWNED = 999;
    private static final int MOST_FINDINGS = 30;

    private final StudioModel studio;
    private final Clock clock;
    private final StringProperty query = new SimpleStringProperty(this, "query", "");
    private final ReadOnlyObjectWrapper<Shown> shown = new ReadOnlyObjectWrapper<>(this, "shown", Shown.NOTHING);
    private final ReadOnlyObjectWrapper<Optional<Chosen>> chosen =
            new ReadOnlyObjectWrapper<>(this, "chosen", Optional.empty());
    private final ReadOnlyObjectWrapper<List<Finding>> findings =
            new ReadOnlyObjectWrapper<>(this, "findings", List.of());
    private final KnownItems<Device> devices =
            new KnownItems<>(SearchText::of, Plausible::doubts, Device::id, Device::name);
    private final KnownItems<Lead> leads = new KnownItems<>(SearchText::of, Plausible::doubts, Lead::id, Lead::name);
    private String chosenId = "";

    /**
     * What is on the shelf and agrees with what is searched for.
     *
     * @param deviceCount of all devices
     * @param leadCount of all kinds of leads
     */
    public record Shown(List<Device> devices, List<Lead> leads, int deviceCount, int leadCount) {
        static final Shown NOTHING = new Shown(List.of(), List.of(), 0, 0);
    }

    public ShelfModel(StudioModel studio, Clock clock) {
        this.studio = studio;
        this.clock = clock;
        query.addListener(change -> search());
        studio.revisionProperty().addListener(change -> refresh());
        refresh();
    }

    /** What is searched for. */
    public StringProperty queryProperty() {
        return query;
    }

    public ReadOnlyObjectProperty<Shown> shownProperty() {
        return shown.getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<Optional<Chosen>> chosenProperty() {
        return chosen.getReadOnlyProperty();
    }

    public Optional<Chosen> chosen() {
        return chosen.get();
    }

    /** What is doubted, anywhere on the shelf. */
    public ReadOnlyObjectProperty<List<Finding>> findingsProperty() {
        return findings.getReadOnlyProperty();
    }

    private Studio document() {
        return studio.studio();
    }

    private void refresh() {
        devices.follow(document().devices());
        leads.follow(document().leads());
        findings.set(Stream.concat(devices.found(), leads.found())
                .limit(MOST_FINDINGS)
                .toList());
        search();
        choose(find(chosenId).map(Chosen::id).orElseGet(this::first));
    }

    /** What is looked at before anything was chosen, or when what was chosen is gone. */
    private String first() {
        Shown all = shown.get();
        return Stream.concat(
                        all.devices().stream().map(Device::id),
                        all.leads().stream().map(Lead::id))
                .findFirst()
                .orElse("");
    }

    private void search() {
        shown.set(new Shown(
                byKind(devices.find(query.get()), Device::kind),
                byKind(leads.find(query.get()), Lead::kind),
                document().devices().size(),
                document().leads().size()));
    }

    /** What is of one kind together. */
    private static <T, K extends Comparable<K>> List<T> byKind(List<T> found, Function<T, K> kindOf) {
        return found.stream().sorted(Comparator.comparing(kindOf)).toList();
    }

    private Optional<Chosen> find(String id) {
        Optional<Chosen> device = document().device(id).map(Chosen.OfDevice::new);
        return device.or(() -> document().lead(id).map(Chosen.OfLead::new));
    }

    /** The names of everything on the shelf, by ids. */
    public Map<String, String> named() {
        Map<String, String> names = new LinkedHashMap<>();
        document().devices().forEach(device -> names.put(device.id(), device.name()));
        document().leads().forEach(lead -> names.put(lead.id(), lead.name()));
        return names;
    }

    // --- commands ----------------------------------------------------------------------------------------------

    public void choose(String id) {
        chosenId = id;
        chosen.set(find(id));
    }

    /** Puts a device or a lead on the shelf. */
    public void add(Chosen gear) {
        if (gear instanceof Chosen.OfDevice device) {
            add(device.device());
        } else if (gear instanceof Chosen.OfLead lead) {
            add(lead.lead());
        }
    }

    /** What most people have beside what is on the shelf. */
    public List<Offer> likelyNext() {
        return GoesWith.likely(Stream.concat(
                        document().devices().stream().map(Device::profile),
                        document().leads().stream().map(Lead::profile))
                .flatMap(Optional::stream)
                .toList());
    }

    /** Puts a device on the shelf, under an id of its own, and looks at it. */
    public void add(Device device) {
        Device own = device.withId(Ids.fresh("device"));
        put("add " + own.name(), own.id(), document().with(own));
    }

    /** Puts a lead on the shelf, under an id of its own, and looks at it. */
    public void add(Lead lead) {
        Lead own = lead.withId(Ids.fresh("lead"));
        put("add " + own.name(), own.id(), document().with(own));
    }

    private void put(String description, String id, Studio after) {
        // What is new is to be seen, whatever is searched for.
        query.set("");
        chosenId = id;
        studio.change(null, description, after);
    }

    /** Adds the like of what is chosen, under another name. */
    public void duplicate() {
        chosen().ifPresent(present -> {
            if (present instanceof Chosen.OfDevice device) {
                add(device.device().withName(freeDeviceName(present.name())));
            } else if (present instanceof Chosen.OfLead lead) {
                add(lead.lead().withName(freeLeadName(present.name())));
            }
        });
    }

    /** A name that no device has yet. */
    public String freeDeviceName(String wanted) {
        return Studio.freeName(
                wanted, document().devices().stream().map(Device::name).toList());
    }

    /** A name that no lead has yet. */
    public String freeLeadName(String wanted) {
        return Studio.freeName(
                wanted, document().leads().stream().map(Lead::name).toList());
    }

    /** "Lead 8": the next number after those in use. */
    public String nextLeadName() {
        int highest = document().leads().stream()
                .map(Lead::name)
                .filter(name -> name.matches("Lead \\d{1,6}"))
                .mapToInt(name -> Integer.parseInt(name.substring("Lead ".length())))
                .max()
                .orElse(0);
        return "Lead " + (highest + 1);
    }

    /** Takes what is chosen off the shelf. */
    public void remove() {
        chosen().ifPresent(present -> remove(List.of(present.id())));
    }

    /** Takes several things off the shelf in one step. */
    public void remove(Collection<String> ids) {
        List<Chosen> all = ids.stream().flatMap(id -> find(id).stream()).toList();
        Studio after = document();
        for (Chosen each : all) {
            after = each instanceof Chosen.OfDevice ? after.withoutDevice(each.id()) : after.withoutLead(each.id());
        }
        if (!all.isEmpty()) {
            String what = all.size() == 1 ? all.get(0).name() : all.size() + " things";
            studio.change(null, "remove " + what, after);
        }
    }

    /**
     * Gives what is chosen another name.
     *
     * @throws UnreadableQuantity where it is none
     */
    public void rename(String typed) {
        String name = Names.checked(typed);
        change("rename " + name, device -> device.withName(name), lead -> lead.withName(name));
    }

    /**
     * Changes the note of what is chosen.
     *
     * @throws UnreadableQuantity where it is too long
     */
    public void note(String typed) {
        String note = Names.checkedNote(typed);
        change("change the note", device -> device.withNote(note), lead -> lead.withNote(note));
    }

    // --- photographs and whereabouts ---------------------------------------------------------------------------

    /** Copies a photograph beside the studio and keeps it with what is chosen. */
    public void addPhoto(Path file) {
        try {
            String kept = Photos.add(studio.folder(), file);
            photo("add a photograph", Optional.of(kept));
        } catch (IOException e) {
            studio.notice(
                    "The photograph was not added",
                    file + " could not be copied beside the studio: " + e.getMessage()
                            + ". See that it is still there and that the disk has room.");
        }
    }

    /** Keeps none any more; the file stays where it is, so that undo can bring it back. */
    public void removePhoto() {
        photo("remove the photograph", Optional.empty());
    }

    private void photo(String description, Optional<String> kept) {
        change(description, device -> device.withPhoto(kept), lead -> lead.withPhoto(kept));
    }

    /** Where a photograph lies. */
    public Path fileOf(String photo) {
        return studio.folder().resolve(photo);
    }

    /** Where what is chosen is plugged, setup by setup. */
    public List<Whereabouts> whereabouts() {
        return chosen().map(present -> Whereabouts.of(document(), present.id())).orElse(List.of());
    }

    public boolean hasOneSetup() {
        return document().setups().size() == 1;
    }

    /**
     * Changes the colour of the lead that is chosen.
     *
     * @throws UnreadableQuantity where it is too long
     */
    public void colour(String typed) {
        String colour = typed.isBlank() ? "" : Names.checked(typed);
        changeLead("change the colour", lead -> lead.withColour(colour));
    }

    /**
     * Changes how many there are of the lead that is chosen.
     *
     * @throws UnreadableQuantity where it is no number of leads
     */
    public void owned(String typed) {
        String digits = typed.strip();
        if (!digits.matches("\\d{1,3}")) {
            throw new UnreadableQuantity(
                    "“" + Names.shown(digits) + "” is not a number of leads.",
                    "Write a number from 0 to " + MOST_OWNED + ".");
        }
        changeLead("change how many there are", lead -> lead.withOwned(Integer.parseInt(digits)));
    }

    /**
     * Changes a value, which then is from a datasheet read today; an empty text makes it unknown.
     *
     * @throws UnreadableQuantity where it cannot be read
     */
    public <T> void value(String part, Fact<T> fact, String typed) {
        Facts after = facts(part).corrected(fact, typed, LocalDate.now(clock));
        values("change the " + Print.withinSentence(fact.label()), part, after);
    }

    /**
     * Gives a control of the device that is chosen another range.
     *
     * @throws UnreadableQuantity where it cannot be read
     */
    public void range(String controlId, String typed) {
        changeDevice(
                "change a control's range",
                device -> device.withControls(device.controls().stream()
                        .map(control -> control.id().equals(controlId) ? ranged(control, typed) : control)
                        .toList()));
    }

    private static DeviceControl ranged(DeviceControl control, String typed) {
        return control.taper()
                .map(taper -> control.withTaper(ControlRange.read(typed, taper)))
                .orElse(control);
    }

    /** Says where a value is from. */
    public <T> void provenance(String part, Fact<T> fact, UnaryOperator<Provenance> change) {
        Facts facts = facts(part);
        facts.get(fact)
                .ifPresent(value -> values(
                        "say where the " + Print.withinSentence(fact.label()) + " is from",
                        part,
                        facts.with(fact, new Value<>(value.is(), change.apply(value.from())))));
    }

    public LocalDate today() {
        return LocalDate.now(clock);
    }

    private Facts facts(String part) {
        return chosen().flatMap(present -> Parts.find(present.parts(), part))
                .map(Part::facts)
                .orElse(Facts.NONE);
    }

    private void values(String description, String part, Facts facts) {
        change(description, device -> Parts.with(device, part, facts), lead -> Parts.with(lead, part, facts));
    }

    /** Changes the device that is chosen, if it is one. */
    public void changeDevice(String description, UnaryOperator<Device> change) {
        change(description, change, lead -> lead);
    }

    /** Changes the lead that is chosen, if it is one. */
    public void changeLead(String description, UnaryOperator<Lead> change) {
        change(description, device -> device, change);
    }

    private void change(String description, UnaryOperator<Device> ofDevice, UnaryOperator<Lead> ofLead) {
        chosen().ifPresent(present -> studio.change(
                null,
                description,
                present instanceof Chosen.OfDevice device
                        ? document().with(ofDevice.apply(device.device()))
                        : document().with(ofLead.apply(((Chosen.OfLead) present).lead()))));
    }
}
