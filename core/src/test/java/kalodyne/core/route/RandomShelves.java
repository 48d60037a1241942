package kalodyne.core.route;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.catalogue.Catalogue;

/** Shelves and wishes by chance. */
public final class RandomShelves {
    private static final Catalogue CATALOGUE = Catalogue.shipped();

    private RandomShelves() {}

    /** Some gear and leads of the catalogue. */
    public static Shelf any(Random random) {
        List<Device> devices = IntStream.range(0, 6 + random.nextInt(8))
                .mapToObj(i -> any(random, CATALOGUE.devices()).gear().withId("device-" + i))
                .toList();
        List<Lead> leads = IntStream.range(0, 8 + random.nextInt(12))
                .mapToObj(i -> any(random, CATALOGUE.leads())
                        .gear()
                        .withId("lead-" + i)
                        .withOwned(1 + random.nextInt(3)))
                .toList();
        return new Shelf(devices, leads);
    }

    private static <T> T any(Random random, List<T> some) {
        return some.get(random.nextInt(some.size()));
    }

    private static <E extends Enum<E>> E any(Random random, Class<E> kind) {
        return any(random, List.of(kind.getEnumConstants()));
    }

    /** An interface and a laptop with the usual leads, and two other things: most of what is wished of it can be had. */
    public static Shelf usual(Random random) {
        Shelf usual = Shelf.of("interface-2 laptop-combo usb-a-c ts-ts*2 xlr-xlr mini-2ts headphones-80");
        List<Device> devices = Stream.concat(
                        usual.devices().stream(), any(random).devices().stream().limit(1))
                .toList();
        return new Shelf(devices, usual.leads());
    }

    /** The others into the laptop, each as far as it sounds, with headphones or without; empty where none does. */
    public static Optional<Wish> usualWish(Random random, List<Device> devices) {
        List<String> sources = devices.stream()
                .filter(device -> device.id().startsWith("device-") && Planner.isSource(device))
                .map(Device::id)
                .limit(1 + random.nextInt(2))
                .toList();
        return sources.isEmpty()
                ? Optional.empty()
                : Optional.of(Wish.of(sources.get(0), "laptop-combo")
                        .withSources(sources)
                        .withHeadphones(random.nextBoolean() ? new String[] {"headphones-80"} : new String[0])
                        .withExtras(Extras.NONE.withBudget(Budget.NOTHING)));
    }

    /** Something that could be wished of it; empty where nothing on it sounds, or nothing records. */
    public static Optional<Wish> wish(Random random, List<Device> devices) {
        List<Device> sources = devices.stream().filter(Planner::isSource).toList();
        List<Device> recorders = devices.stream().filter(Planner::isRecorder).toList();
        if (sources.isEmpty() || recorders.isEmpty()) {
            return Optional.empty();
        }
        Set<String> played = new LinkedHashSet<>();
        Stream.generate(() -> any(random, sources).id())
                .limit(1 + random.nextInt(2))
                .forEach(played::add);
        List<String> speakers = devices.stream()
                .filter(device -> device.kind() == DeviceKind.SPEAKER && random.nextBoolean())
                .map(Device::id)
                .toList();
        List<String> headphones = devices.stream()
                .filter(device -> device.kind() == DeviceKind.HEADPHONES)
                .map(Device::id)
                .limit(1)
                .toList();
        return Optional.of(new Wish(
                List.copyOf(played),
                any(random, recorders).id(),
                any(random, Stereo.class),
                new ListeningWish(headphones, speakers, any(random, MonitorPath.class)),
                new Extras(
                        random.nextBoolean(),
                        random.nextBoolean(),
                        Set.of(any(random, Also.class)),
                        random.nextBoolean(),
                        List.of(),
                        any(random, Budget.class),
                        Spending.UNKNOWN),
                any(random, Priority.class),
                any(random, Priority.class)));
    }
}
