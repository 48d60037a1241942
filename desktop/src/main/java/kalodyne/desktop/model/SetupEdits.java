package kalodyne.desktop.model;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import kalodyne.core.gear.Ids;
import kalodyne.core.gear.Names;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.units.UnreadableQuantity;

/** Adds, copies, removes and renames setups, and renames the studio that they are in. */
public final class SetupEdits {
    private final StudioModel studio;

    SetupEdits(StudioModel studio) {
        this.studio = studio;
    }

    /** Adds an empty setup, and looks at it. */
    public void add() {
        add("add a setup", studio.preferences().begun(Setup.bare(Ids.fresh("setup"), "New setup")));
    }

    /** Adds a setup that is plugged like the present one, and looks at it; the takes stay with the old one. */
    public void duplicate() {
        Setup present = studio.setup();
        add(
                "duplicate the setup",
                present.withId(Ids.fresh("setup")).withTakes(List.of()).withSessions(List.of()));
    }

    private void add(String description, Setup another) {
        List<String> taken = studio.studio().setups().stream().map(Setup::name).toList();
        studio.add(description, another.named(Studio.freeName(another.name(), taken)));
    }

    /** Removes the setup that is looked at; the last one is not removed. */
    public void remove() {
        if (studio.studio().setups().size() > 1) {
            studio.change(
                    null,
                    "remove the setup",
                    studio.studio().withoutSetup(studio.setup().id()));
        }
    }

    /** Gives the setup another name; says why not, where it cannot have it. */
    public Optional<String> rename(String typed) {
        return renamed(typed, name -> studio.edit("rename the setup", each -> each.named(name)));
    }

    /** Gives the studio another name; says why not, where it cannot have it. */
    public Optional<String> renameStudio(String typed) {
        return renamed(
                typed,
                name -> studio.change(null, "rename the studio", studio.studio().withName(name)));
    }

    private static Optional<String> renamed(String typed, Consumer<String> rename) {
        try {
            rename.accept(Names.checked(typed));
            return Optional.empty();
        } catch (UnreadableQuantity e) {
            return Optional.of(e.problem());
        }
    }
}
