package kalodyne.desktop.start;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Ids;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.catalogue.Profile;
import kalodyne.core.gear.shelf.Beginning;
import kalodyne.core.route.ListeningWish;
import kalodyne.core.route.Planner;
import kalodyne.core.route.Wish;
import kalodyne.core.studio.Studio;
import kalodyne.desktop.model.StudioModel;

/**
 * The first answers. What is ticked is on the shelf at once, so that it can be left and taken up again; what is on the shelf is
 * ticked.
 */
public final class StartModel {
    private static final int MOST_OWNED = 99;

    private final StudioModel studio;

    public StartModel(StudioModel studio) {
        this.studio = studio;
    }

    private Studio document() {
        return studio.studio();
    }

    /** What is on the shelf of these. */
    public Optional<Device> owned(Beginning beginning) {
        return document().devices().stream().filter(beginning::has).findFirst();
    }

    /** Puts the usual one of these on the shelf, or takes all of them off. */
    public void tick(Beginning beginning, boolean isOwned) {
        if (isOwned && owned(beginning).isEmpty()) {
            add(beginning.kinds().get(0), document());
        } else if (!isOwned) {
            Studio after = document();
            for (Device device : after.devices().stream().filter(beginning::has).toList()) {
                after = after.withoutDevice(device.id());
            }
            studio.change(null, "take the " + beginning.words().toLowerCase(Locale.ROOT) + " off", after);
        }
    }

    /** It is exactly this, not what was thought at first. */
    public void exactly(Beginning beginning, Profile<Device> kind) {
        Optional<Device> before = owned(beginning);
        if (before.flatMap(Device::profile).filter(kind.gear().id()::equals).isEmpty()) {
            add(
                    kind,
                    before.map(device -> document().withoutDevice(device.id())).orElse(document()));
        }
    }

    private void add(Profile<Device> kind, Studio to) {
        List<String> names = to.devices().stream().map(Device::name).toList();
        Device device = kind.gear()
                .withId(Ids.fresh("device"))
                .withProfile(kind.gear().id())
                .withName(Studio.freeName(kind.gear().name(), names));
        studio.change(null, "add " + device.name(), to.with(device));
    }

    /** How many leads of a kind there are. */
    public int count(Profile<Lead> kind) {
        return lead(kind).map(Lead::owned).orElse(0);
    }

    private Optional<Lead> lead(Profile<Lead> kind) {
        return document().leads().stream()
                .filter(lead -> lead.profile().equals(Optional.of(kind.gear().id())))
                .findFirst();
    }

    /** One more or one less. */
    public void count(Profile<Lead> kind, int count) {
        if (count < 0 || count > MOST_OWNED) {
            return;
        }
        Optional<Lead> present = lead(kind);
        Studio after = count == 0
                ? present.map(lead -> document().withoutLead(lead.id())).orElse(document())
                : document()
                        .with(present.orElseGet(() -> kind.gear()
                                        .withId(Ids.fresh("lead"))
                                        .withProfile(kind.gear().id()))
                                .withOwned(count));
        studio.change("leads " + kind.gear().id(), "count " + kind.gear().name(), after);
    }

    /** What is missing before ways can be looked for; nothing where all is there. */
    public Optional<String> missing() {
        if (sources().isEmpty()) {
            return Optional.of("Choose what you play or sing");
        }
        return recorder().isEmpty() ? Optional.of("Choose what you record with") : Optional.empty();
    }

    /** What was answered, as a wish. */
    public void wish() {
        Device recorder = recorder().orElseThrow();
        List<String> sources = sources().stream().map(Device::id).toList();
        List<String> worn = document().devices().stream()
                .filter(device -> device.kind() == DeviceKind.HEADPHONES)
                .limit(1)
                .map(Device::id)
                .toList();
        Wish wish = Wish.of(sources.get(0), recorder.id())
                .withSources(sources)
                .withHeard(ListeningWish.NOT.withHeadphones(worn));
        studio.edit("say what is recorded", setup -> setup.withWish(Optional.of(wish)));
    }

    private List<Device> sources() {
        return ticked(Beginning.Asks.PLAYS).filter(Planner::isSource).toList();
    }

    /** What keeps the recording: the first that one thinks of, an interface needs one of them. */
    private Optional<Device> recorder() {
        return ticked(Beginning.Asks.RECORDS)
                .filter(device -> device.kind().keepsRecordings())
                .findFirst();
    }

    private Stream<Device> ticked(Beginning.Asks asks) {
        return Beginning.of(asks).stream().flatMap(beginning -> owned(beginning).stream());
    }
}
