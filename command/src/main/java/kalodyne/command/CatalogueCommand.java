package kalodyne.command;

import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.function.Function;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.gear.catalogue.CatalogueForm;
import kalodyne.core.gear.catalogue.Profile;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** Lists the generic profiles that descriptions can start from. */
@Command(
        name = "catalogue",
        mixinStandardHelpOptions = true,
        description = "List the generic profiles of gear and leads.")
public final class CatalogueCommand implements Callable<Integer> {
    @Option(names = "--json", description = "Print all of it as JSON, as docs/formats/catalogue.md describes.")
    private boolean json;

    private final Output output;

    public CatalogueCommand(Output output) {
        this.output = output;
    }

    @Override
    public Integer call() {
        Catalogue catalogue = Catalogue.shipped();
        if (json) {
            output.json(CatalogueForm.write(catalogue));
        } else {
            print("Devices and boxes", catalogue.devices(), Device::id, Device::name);
            print("Leads and adapters", catalogue.leads(), Lead::id, Lead::name);
        }
        return Output.READ;
    }

    private <T> void print(String title, List<Profile<T>> profiles, Function<T, String> id, Function<T, String> name) {
        output.line(title + " (" + profiles.size() + ")");
        profiles.forEach(profile -> output.line(
                String.format(Locale.ROOT, "  %-26s %s", id.apply(profile.gear()), name.apply(profile.gear()))));
    }
}
