package kalodyne.core.route;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Facts;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Parts;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.Value;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.units.Level;

/** Gear of the catalogue by its ids: "ts-ts*2 interface-2"; "mic-dynamic-low@-60" for one that peaks at −60 dBu. */
public record Shelf(List<Device> devices, List<Lead> leads) {
    private static final Map<List<String>, Plan> PLANNED = new ConcurrentHashMap<>();

    public static Shelf of(String line) {
        Catalogue catalogue = Catalogue.shipped();
        List<Device> devices = new ArrayList<>();
        Map<String, Lead> leads = new LinkedHashMap<>();
        for (String word : line.split(" +", -1)) {
            int star = word.indexOf('*');
            String[] told = (star < 0 ? word : word.substring(0, star)).split("@", -1);
            String id = told[0];
            int count = star < 0 ? 1 : Integer.parseInt(word.substring(star + 1));
            if (catalogue.device(id).isPresent()) {
                Device gear = catalogue.device(id).get().gear();
                Device device = told.length == 1 ? gear : peaking(gear, Double.parseDouble(told[1]));
                IntStream.rangeClosed(1, count)
                        .forEach(i -> devices.add(i == 1 ? device : device.withId(id + "-" + i)));
            } else {
                leads.put(id, catalogue.lead(id).orElseThrow().gear().withOwned(count));
            }
        }
        return new Shelf(devices, List.copyOf(leads.values()));
    }

    /** With an output that gives so much at the loudest, and 14 dB less on average. */
    private static Device peaking(Device device, double dbu) {
        String mark = "socket " + device.sockets().get(0).id();
        Facts facts = Parts.find(Parts.of(device), mark).orElseThrow().facts();
        Provenance told = Provenance.datasheet(LocalDate.of(2026, 11, 1));
        return Parts.with(
                device,
                mark,
                facts.with(Fact.LOUDEST_PEAK, new Value<>(new Level(dbu), told))
                        .with(Fact.AVERAGE_LEVEL, new Value<>(new Level(dbu - 14), told)));
    }

    /** What is told of a wish, searched once however many tests look at it. */
    public static Plan planned(String shelf, String wish, String stereo) {
        return PLANNED.computeIfAbsent(
                Arrays.asList(shelf, wish, stereo), key -> of(shelf).plan(wish(wish, stereo)));
    }

    public Plan plan(Wish wish) {
        return new Planner(devices, leads, Catalogue.shipped(), Wiring.NONE, Settings.NONE).plan(wish, () -> false);
    }

    /** "synth > laptop; headphones-32; tempo", several sources with commas, speakers with plus signs. */
    public static Wish wish(String line, String stereo) {
        String[] parts = line.split("; ", -1);
        String[] ends = parts[0].split(" > ", -1);
        Wish wish = Wish.of("", ends[1])
                .withSources(List.of(ends[0].split(",", -1)))
                .withStereo(stereo == null ? Stereo.NO_MATTER : Stereo.valueOf(stereo));
        for (String word : List.of(parts).subList(1, parts.length)) {
            wish = word.startsWith("matters ")
                    ? wish.withMatters(Priority.valueOf(word.substring(8)), Priority.CLEAN)
                    : word.contains("phones-") ? wish.withHeadphones(word.split("\\+", -1)) : more(wish, word);
        }
        return wish;
    }

    private static Wish more(Wish wish, String word) {
        Extras extras = wish.extras();
        return switch (word) {
            case "tempo" -> wish.withExtras(extras.withInTempo(true));
            case "charging" -> wish.withExtras(extras.withCharging(true));
            case "copy" -> wish.withExtras(extras.withAlso(Set.of(Also.SAFETY_COPY)));
            case "mixes" -> wish.withExtras(extras.withAlso(Set.of(Also.TWO_MIXES)));
            case "direct" -> wish.withHeard(wish.heard().withThrough(MonitorPath.DIRECT));
            case "app" -> wish.withHeard(wish.heard().withThrough(MonitorPath.APP));
            case "by preamp" -> wish.withExtras(extras.withBy(List.of("preamp-xlr")));
            case "NOTHING", "LEAD", "BOX" -> wish.withExtras(extras.withBudget(Budget.valueOf(word)));
            default -> wish.withHeard(wish.heard().withSpeakers(List.of(word.split("\\+", -1))));
        };
    }
}
