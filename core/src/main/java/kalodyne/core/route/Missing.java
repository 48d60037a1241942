package kalodyne.core.route;

import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.LeadKind;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.joint.Spot;

/**
 * Something that a way needs and that is not owned.
 *
 * @param id in the catalogue
 * @param name "6.35 mm two-pole lead"
 * @param details how it is built, where its name does not say it: "6.35 mm two-pole plug to 6.35 mm two-pole plug, 3 m"
 * @param price how dear such things are
 * @param ownPrice what it costs where somebody lives, as far as they wrote it down
 */
public record Missing(String id, String name, String details, Price price, OptionalDouble ownPrice) {
    private static final String MARK = "get-";

    private static final Set<DeviceKind> SMALL = EnumSet.of(DeviceKind.BOX, DeviceKind.HUB, DeviceKind.MIDI);

    /** So many sockets a preamp for one source has: two in, two out, earth. */
    private static final int MOST_OF_A_BOX = 5;

    /** A plug for the phone, and what goes in. */
    private static final int MOST_OF_AN_ADAPTER = 3;

    /** Classes of price; common practice. */
    public enum Price {
        A("A, a lead or adapter"),
        B("B, a small box"),
        C("C, an interface or mixer");

        private final String words;

        Price(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** Under which something that is not owned stands in a way. */
    static String mark(String id) {
        return MARK + id;
    }

    /** Whether what stands in a way under a mark is not owned. */
    public static boolean is(String mark) {
        return mark.startsWith(MARK);
    }

    /** What it is in the catalogue. */
    public static String kind(String mark) {
        return plain(Spot.kind(mark));
    }

    private static String plain(String mark) {
        return is(mark) ? mark.substring(MARK.length()) : mark;
    }

    Missing withOwnPrice(OptionalDouble newOwnPrice) {
        return new Missing(id, name, details, price, newOwnPrice);
    }

    /** A line to buy by: "6.35 mm two-pole lead (6.35 mm two-pole plug to 6.35 mm two-pole plug, 3 m)". */
    public String words() {
        return details.isEmpty() ? name : name + " (" + details + ")";
    }

    /** "price class A, a lead or adapter", "29 (your own price)". */
    public String cost() {
        return ownPrice.isPresent()
                ? Spending.write(ownPrice.getAsDouble()) + " (your own price)"
                : "price class " + price.words();
    }

    /** What some hops need. */
    static List<Missing> of(List<Hop> all, Stock stock, Hops hops, Spending spending) {
        Stream<Missing> devices = all.stream()
                .flatMap(hop -> Stream.of(hop.from().device(), hop.to().device()))
                .distinct()
                .filter(Missing::is)
                .map(id -> of(stock.device(id)));
        Stream<Missing> leads = all.stream()
                .flatMap(hop -> hop.made().marks().stream())
                .filter(Missing::is)
                .distinct()
                .map(mark -> of(hops.lead(mark)));
        return Stream.concat(devices, leads).map(spending::on).toList();
    }

    static Missing of(Lead lead) {
        return new Missing(plain(lead.id()), lead.name(), ends(lead) + length(lead), Price.A, OptionalDouble.empty());
    }

    /** "XLR plug to 6.35 mm three-pole plug", "two RCA plugs to two RCA plugs, with an earth wire". */
    private static String ends(Lead lead) {
        boolean isAllEarth = lead.ends().stream().allMatch(end -> end.connector() == Connector.EARTH_SPADE);
        Map<String, Integer> alike = new LinkedHashMap<>();
        lead.ends().stream()
                .filter(end -> isAllEarth || end.connector() != Connector.EARTH_SPADE)
                .map(end -> end.connector().word() + " " + end.form().word())
                .forEach(words -> alike.merge(words, 1, Integer::sum));
        return sides(alike) + (!isAllEarth && Earth.hasWire(lead) ? ", with an earth wire" : "");
    }

    /** Ends that are all alike are half of them at each side. */
    private static String sides(Map<String, Integer> alike) {
        Map.Entry<String, Integer> first = alike.entrySet().iterator().next();
        if (alike.size() == 1 && first.getValue() % 2 == 0) {
            String side = counted(first.getKey(), first.getValue() / 2);
            return side + " to " + side;
        }
        return alike.entrySet().stream()
                .map(entry -> counted(entry.getKey(), entry.getValue()))
                .collect(Collectors.joining(" to "));
    }

    private static String counted(String words, int count) {
        return count == 1
                ? words
                : (count <= 4 ? List.of("two", "three", "four").get(count - 2) : count + "") + " " + words + "s";
    }

    private static String length(Lead lead) {
        return lead.kind() == LeadKind.LEAD
                ? lead.facts().printed(Fact.LENGTH).map(length -> ", " + length).orElse("")
                : "";
    }

    static Missing of(Device device) {
        boolean isSimple = SMALL.contains(device.kind())
                || (device.kind() == DeviceKind.PREAMP && device.sockets().size() <= MOST_OF_A_BOX);
        return new Missing(
                plain(device.id()),
                device.name(),
                "",
                isAdapter(device) ? Price.A : isSimple ? Price.B : Price.C,
                OptionalDouble.empty());
    }

    /** A small thing with a plug of its own that needs no supply of its own costs what a lead does. */
    private static boolean isAdapter(Device device) {
        boolean hasPlug = device.sockets().stream()
                .anyMatch(socket -> socket.form() == Form.PLUG && socket.connector() != Connector.XLR);
        boolean isFed = device.powering().stream().allMatch(way -> way.source() == PowerSource.BUS);
        return hasPlug
                && isFed
                && device.kind() != DeviceKind.MIDI
                && SMALL.contains(device.kind())
                && device.sockets().size() <= MOST_OF_AN_ADAPTER;
    }
}
