package kalodyne.desktop.model;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.gear.Powering;
import kalodyne.core.joint.Patch;
import kalodyne.core.runsheet.LeadReach;
import kalodyne.core.runsheet.SessionPlan;
import kalodyne.core.runsheet.Standing;
import kalodyne.core.runsheet.Standing.Side;
import kalodyne.core.sums.Spans;
import kalodyne.core.units.Print;
import kalodyne.core.units.Quantity;
import kalodyne.core.units.UnreadableQuantity;

/** What is planned with a setup: how long, in which tempo and format, free space, what gear runs on, where it stands. */
public final class PlanModel {
    private static final Set<DeviceKind> FILMING = Set.of(DeviceKind.CAMERA, DeviceKind.PHONE, DeviceKind.TABLET);

    private static final Pattern SPACE =
            Pattern.compile("(\\d{1,6}(?:[.,]\\d{1,6})?)\\s*(MB|GB|TB)?", Pattern.CASE_INSENSITIVE);
    private static final Map<String, Double> UNITS = Map.of("MB", 1e6, "GB", 1e9, "TB", 1e12);
    private static final Standing AT_THE_CORNER = new Standing(0, 0, 0);
    private static final double LONGEST_TRIP = 2000;
    private static final double SLOWEST = 20;
    private static final double FASTEST = 400;
    private static final int LONGEST_PART = 60;
    private static final int MOST_PARTS = 50;

    private final StudioModel studio;
    private final SheetModel sheet;

    public PlanModel(StudioModel studio, SheetModel sheet) {
        this.studio = studio;
        this.sheet = sheet;
    }

    private Patch patch() {
        return studio.levels().rig().patch();
    }

    private SessionPlan sessionPlan() {
        return sheet.sessionPlan();
    }

    /** What is plugged. */
    public List<Device> devices() {
        return List.copyOf(patch().devices().values());
    }

    public List<Device> recorders() {
        return sheet.recording().stream().map(patch().devices()::get).toList();
    }

    /** What can run on more than one thing. */
    public List<Device> powered() {
        return devices().stream().filter(device -> device.powering().size() > 1).toList();
    }

    /** What a device can run on, the usual first. */
    public List<PowerSource> sources(Device device) {
        return device.powering().stream().map(Powering::source).distinct().toList();
    }

    public PowerSource source(Device device) {
        return Optional.ofNullable(sessionPlan().powering().get(device.id())).orElseGet(() -> usual(device));
    }

    private PowerSource usual(Device device) {
        return sheet.usualSource(device.id()).orElseGet(() -> sources(device).get(0));
    }

    public void run(Device device, PowerSource source) {
        Optional<PowerSource> unusual = Optional.of(source).filter(each -> each != usual(device));
        sheet.intend(
                "run " + device.name() + " on " + source.word(),
                sessionPlan -> sessionPlan.withPowering(device.id(), unusual));
    }

    // --- the film ----------------------------------------------------------------------------------------------

    /** What can film beside the recording: cameras, phones and tablets of the shelf. */
    public List<Device> cameras() {
        return studio.studio().devices().stream()
                .filter(device -> FILMING.contains(device.kind()) && device.recordsByItself())
                .toList();
    }

    public Optional<Device> film() {
        return sessionPlan().film().flatMap(studio.studio()::device);
    }

    public void film(Optional<Device> camera) {
        sheet.intend(
                camera.map(device -> "film with " + device.name()).orElse("film with nothing"),
                sessionPlan -> sessionPlan.withFilm(camera.map(Device::id)));
    }

    // --- how long, in which tempo, which parts -----------------------------------------------------------------

    public String minutes() {
        return String.valueOf(sessionPlan().minutes());
    }

    public void minutes(String typed) {
        String plain = typed.strip();
        int number = plain.matches("[0-9]{1,4}") ? Integer.parseInt(plain) : 0;
        if (number < 1 || number > SessionPlan.MOST_MINUTES) {
            throw new UnreadableQuantity(
                    "That is not a length.", "Write whole minutes, 1 to " + SessionPlan.MOST_MINUTES + ".");
        }
        sheet.intend("plan " + number + " minutes", sessionPlan -> sessionPlan.withMinutes(number));
    }

    /** The tempo that is played in, as a number; an empty text for none. */
    public String tempo() {
        OptionalDouble beats = beatsPerMinute();
        return beats.isPresent() ? Print.plain(beats.getAsDouble()) : "";
    }

    public OptionalDouble beatsPerMinute() {
        return sessionPlan().beatsPerMinute();
    }

    /** Takes "118" or "97,5"; nothing for none. */
    public void tempo(String typed) {
        OptionalDouble beats = typed.isBlank() ? OptionalDouble.empty() : OptionalDouble.of(readTempo(typed));
        sheet.intend(
                beats.isPresent() ? "plan the tempo" : "plan no tempo",
                sessionPlan -> sessionPlan.withBeatsPerMinute(beats));
    }

    /** Reads a tempo that somebody typed. */
    public static double readTempo(String typed) {
        String plain = typed.strip().replace(',', '.');
        boolean isTempo = plain.matches("[0-9]{1,3}(\\.[0-9]{1,3})?")
                && Double.parseDouble(plain) >= SLOWEST
                && Double.parseDouble(plain) <= FASTEST;
        if (!isTempo) {
            throw new UnreadableQuantity("That is not a tempo.", "Write 20 to 400 beats a minute.");
        }
        return Double.parseDouble(plain);
    }

    /** Names of the parts that are recorded one by one, with commas between. */
    public String parts() {
        return sessionPlan().passes().stream().map(SessionPlan.Pass::part).collect(Collectors.joining(", "));
    }

    /** Takes "Bass, snare, hats": each is a take of its own. */
    public void parts(String typed) {
        List<String> names = Stream.of(typed.split(",", -1))
                .map(String::strip)
                .filter(name -> !name.isEmpty())
                .toList();
        if (names.stream().anyMatch(name -> name.length() > LONGEST_PART) || names.size() > MOST_PARTS) {
            throw new UnreadableQuantity("These are not parts.", "Write up to 50 short names with commas between.");
        }
        sheet.intend(
                "plan the parts",
                sessionPlan -> sessionPlan.withPasses(names.stream()
                        .map(name -> new SessionPlan.Pass(sheet.playedInParts(), name))
                        .toList()));
    }

    // --- format ------------------------------------------------------------------------------------------------

    public OptionalInt rate() {
        return sessionPlan().sampleRateHz();
    }

    public OptionalInt bits() {
        return sessionPlan().bits();
    }

    public void record(OptionalInt rate, OptionalInt bits) {
        sheet.intend("plan the format", sessionPlan -> sessionPlan.withFormat(rate, bits));
    }

    // --- free space --------------------------------------------------------------------------------------------

    public String free(Device recorder) {
        return Optional.ofNullable(sessionPlan().freeBytes().get(recorder.id()))
                .map(Spans::bytes)
                .orElse("");
    }

    /** Takes "32 GB"; nothing for not known. */
    public void free(Device recorder, String typed) {
        sheet.intend(
                "note the free space of " + recorder.name(),
                sessionPlan -> sessionPlan.withFree(recorder.id(), bytes(typed.strip())));
    }

    private static Optional<Long> bytes(String typed) {
        if (typed.isEmpty()) {
            return Optional.empty();
        }
        Matcher matcher = SPACE.matcher(typed);
        if (!matcher.matches()) {
            throw new UnreadableQuantity("That is not a free space.", "Write for example 32 GB, or nothing.");
        }
        String unit = Optional.ofNullable(matcher.group(2)).orElse("GB").toUpperCase(Locale.ROOT);
        return Optional.of(Math.round(Double.parseDouble(matcher.group(1).replace(',', '.')) * UNITS.get(unit)));
    }

    // --- round trip --------------------------------------------------------------------------------------------

    public String roundTrip() {
        OptionalDouble trip = sessionPlan().roundTripMilliseconds();
        return trip.isPresent() ? Print.decimal(trip.getAsDouble(), 1) + " ms" : "";
    }

    /** Takes "12.3 ms"; nothing for not known. */
    public void roundTrip(String typed) {
        String plain = typed.strip().replaceFirst("\\s*ms$", "").replace(',', '.');
        if (!plain.isEmpty()
                && (!plain.matches("\\d{1,4}(\\.\\d{1,4})?") || Double.parseDouble(plain) > LONGEST_TRIP)) {
            throw new UnreadableQuantity(
                    "That is not a round trip.", "Write for example 12.3 ms, up to 2 s, or nothing.");
        }
        roundTrip(plain.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(Double.parseDouble(plain)));
    }

    public void roundTrip(OptionalDouble milliseconds) {
        sheet.intend("note the round trip", sessionPlan -> sessionPlan.withRoundTrip(milliseconds));
    }

    // --- where things stand ------------------------------------------------------------------------------------

    public String standing(Device device, Side side) {
        return Optional.ofNullable(sessionPlan().standings().get(device.id()))
                .map(standing -> Print.plain(standing.at(side)) + " m")
                .orElse("");
    }

    /** Takes "2.4 m" or "2,4"; nothing for not known. */
    public void stand(Device device, Side side, String typed) {
        Optional<Standing> before =
                Optional.ofNullable(sessionPlan().standings().get(device.id()));
        Optional<Standing> now = typed.isBlank()
                ? Optional.empty()
                : Optional.of(checked(side, before.orElse(AT_THE_CORNER), metres(typed.strip())));
        sheet.intend(
                "note where " + device.name() + " stands", sessionPlan -> sessionPlan.withStanding(device.id(), now));
    }

    private static Standing checked(Side side, Standing before, double metres) {
        double most = side == Side.HEIGHT ? Standing.HIGHEST : Standing.LONGEST_ROOM;
        if (metres > most) {
            throw new UnreadableQuantity(
                    "That is too far away.", "Write up to " + Print.plain(most) + " m, from one corner of the room.");
        }
        return before.with(side, metres);
    }

    private static double metres(String typed) {
        boolean isBare = Character.isDigit(typed.charAt(typed.length() - 1));
        return Quantity.LENGTH.read(isBare ? typed + " m" : typed).metres();
    }

    /** Whether each lead reaches, of those whose ends both stand somewhere; those that do not first. */
    public List<LeadReach> reaches() {
        List<LeadReach> all = LeadReach.all(patch(), sessionPlan().standings());
        return Stream.concat(
                        all.stream().filter(LeadReach::isShort), all.stream().filter(reach -> !reach.isShort()))
                .toList();
    }
}
