package kalodyne.core.gear;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.units.BitRate;
import kalodyne.core.units.Capacitance;
import kalodyne.core.units.Current;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Energy;
import kalodyne.core.units.Frequency;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Inductance;
import kalodyne.core.units.Length;
import kalodyne.core.units.Level;
import kalodyne.core.units.MicSensitivity;
import kalodyne.core.units.Power;
import kalodyne.core.units.Quantity;
import kalodyne.core.units.RunningTime;
import kalodyne.core.units.SoundLevel;
import kalodyne.core.units.Voltage;

/**
 * A kind of thing that can be known about gear: its name in files, its name for people, its unit. The list of all of them
 * is the one place that says what they mean.
 *
 * @param <T> the record of its quantity
 */
public final class Fact<T> {
    private static final Map<Of, Map<String, Fact<?>>> ALL = new LinkedHashMap<>();

    /** What a fact is known of. */
    public enum Of {
        DEVICE,
        SOCKET,
        SOCKET_POWER,
        STAGE,
        POWERING,
        LEAD,
        WIRE
    }

    // --- of a socket -------------------------------------------------------------------------------------------

    public static final Fact<Impedance> SOURCE_IMPEDANCE = of(
            Of.SOCKET,
            "sourceImpedance",
            "Source impedance",
            Quantity.IMPEDANCE,
            "What an output has in series with its voltage. Low is robust against long leads and heavy loads.");
    public static final Fact<Impedance> LOAD_IMPEDANCE = of(
            Of.SOCKET,
            "loadImpedance",
            "Load impedance",
            Quantity.IMPEDANCE,
            "What an input puts across whatever is plugged in. Manuals call it input impedance.");
    public static final Fact<Capacitance> LOAD_CAPACITANCE = of(
            Of.SOCKET,
            "loadCapacitance",
            "Load capacitance",
            Quantity.CAPACITANCE,
            "Across the input; matters for magnetic cartridges and pickups.");
    public static final Fact<Level> NOMINAL_LEVEL = of(
            Of.SOCKET,
            "nominalLevel",
            "Nominal level",
            Quantity.LEVEL,
            "The level that it is made for; peaks go above it.");
    public static final Fact<Level> MAXIMUM_LEVEL = of(
            Of.SOCKET,
            "maximumLevel",
            "Maximum level",
            Quantity.LEVEL,
            "Of an output: the most it gives before it clips. Of an input: the most it takes with its gain lowest; where it"
                    + " is recorded, what reads 0 dBFS then. Of a socket that goes both ways: of what comes in.");
    public static final Fact<Level> MAXIMUM_OUTPUT = of(
            Of.SOCKET,
            "maximumOutput",
            "Maximum output",
            Quantity.LEVEL,
            "Of a socket that goes both ways: the most it gives before it clips.");
    public static final Fact<Capacitance> COUPLING_CAPACITOR = of(
            Of.SOCKET,
            "couplingCapacitor",
            "Coupling capacitor",
            Quantity.CAPACITANCE,
            "In series with an output, as in most instruments and players: at direct current it then looks open.");
    public static final Fact<Level> LOUDEST_PEAK = of(
            Of.SOCKET,
            "loudestPeak",
            "Loudest peak",
            Quantity.LEVEL,
            "What the loudest playing gives at this socket, open-circuit, as the sine that has the same peak.");
    public static final Fact<Level> AVERAGE_LEVEL = of(
            Of.SOCKET,
            "averageLevel",
            "Average level",
            Quantity.LEVEL,
            "What usual playing gives at this socket, RMS.");
    public static final Fact<Level> OWN_NOISE = of(
            Of.SOCKET,
            "ownNoise",
            "Own noise",
            Quantity.LEVEL,
            "What is left at this socket while nothing is played, 20 Hz to 20 kHz.");

    // --- of what a socket feeds or takes beside the signal -------------------------------------------------------

    public static final Fact<Voltage> SUPPLY_VOLTAGE =
            of(Of.SOCKET_POWER, "voltage", "Voltage", Quantity.VOLTAGE, "Open-circuit.");
    public static final Fact<Current> SUPPLY_CURRENT = of(
            Of.SOCKET_POWER,
            "current",
            "Current",
            Quantity.CURRENT,
            "Given: the most that can be drawn. Needed: what is drawn.");
    public static final Fact<Impedance> SUPPLY_RESISTANCE = of(
            Of.SOCKET_POWER,
            "resistance",
            "Feed resistance",
            Quantity.IMPEDANCE,
            "In series with the voltage, on each contact that it comes on.");

    // --- of a stage ----------------------------------------------------------------------------------------------

    public static final Fact<Gain> STAGE_GAIN =
            of(Of.STAGE, "gain", "Fixed gain", Quantity.GAIN, "What the stage adds beside its controls.");
    public static final Fact<Level> STAGE_CEILING =
            of(Of.STAGE, "ceiling", "Clips at", Quantity.LEVEL, "The level behind the stage at which it clips.");
    public static final Fact<Level> INPUT_NOISE = of(
            Of.STAGE,
            "equivalentInputNoise",
            "Equivalent input noise",
            Quantity.LEVEL,
            "Noise referred to the input at full gain (EIN), 20 Hz to 20 kHz.");
    public static final Fact<Level> OUTPUT_NOISE = of(
            Of.STAGE,
            "outputNoise",
            "Output noise",
            Quantity.LEVEL,
            "Noise behind the stage that its gain does not change.");
    public static final Fact<Level> FULL_SCALE = of(
            Of.STAGE,
            "fullScale",
            "Full scale",
            Quantity.LEVEL,
            "The sine that just reaches 0 dBFS in this converter (AES17).");
    public static final Fact<DigitalLevel> CONVERTER_NOISE = of(
            Of.STAGE,
            "converterNoise",
            "Converter noise",
            Quantity.DIGITAL_LEVEL,
            "Minus the dynamic range that makers print (AES17).");
    public static final Fact<Frequency> CROSSOVER =
            of(Of.STAGE, "crossover", "Crossover", Quantity.FREQUENCY, "Where the low part is split off.");

    // --- of a device as a whole -----------------------------------------------------------------------------------

    public static final Fact<MicSensitivity> MIC_SENSITIVITY = of(
            Of.DEVICE,
            "micSensitivity",
            "Sensitivity",
            Quantity.MIC_SENSITIVITY,
            "What a microphone gives per pascal (94 dB SPL), open-circuit.");
    public static final Fact<SoundLevel> SELF_NOISE = of(
            Of.DEVICE,
            "selfNoise",
            "Self noise",
            Quantity.SELF_NOISE,
            "The sound that would give as much as its noise.");
    public static final Fact<SoundLevel> LOUDEST_SOUND = of(
            Of.DEVICE,
            "loudestSound",
            "Loudest sound",
            Quantity.SOUND_LEVEL,
            "What a microphone takes before it clips; what a loudspeaker gives at 1 m.");
    public static final Fact<Impedance> COIL_RESISTANCE =
            of(Of.DEVICE, "coilResistance", "Coil resistance", Quantity.IMPEDANCE, "At DC, as a meter shows it.");
    public static final Fact<Inductance> COIL_INDUCTANCE = of(
            Of.DEVICE, "coilInductance", "Coil inductance", Quantity.INDUCTANCE, "Of a pickup or cartridge, at 1 kHz.");
    public static final Fact<Capacitance> OWN_CAPACITANCE = of(
            Of.DEVICE,
            "ownCapacitance",
            "Own capacitance",
            Quantity.CAPACITANCE,
            "Of a coil's windings, or of a piezo element, which is little else.");
    public static final Fact<Impedance> VOLUME_POT = of(
            Of.DEVICE,
            "volumePot",
            "Volume pot",
            Quantity.IMPEDANCE,
            "The volume potentiometer in a passive instrument.");
    public static final Fact<Impedance> TONE_POT =
            of(Of.DEVICE, "tonePot", "Tone pot", Quantity.IMPEDANCE, "The tone potentiometer in a passive instrument.");
    public static final Fact<Capacitance> TONE_CAPACITOR = of(
            Of.DEVICE,
            "toneCapacitor",
            "Tone capacitor",
            Quantity.CAPACITANCE,
            "In series with the tone potentiometer.");
    public static final Fact<Impedance> WANTED_LOAD = of(
            Of.DEVICE,
            "wantedLoad",
            "Wants to see at least",
            Quantity.IMPEDANCE,
            "The load that its maker, or common practice, asks for.");
    public static final Fact<Capacitance> WANTED_CAPACITANCE = of(
            Of.DEVICE,
            "wantedCapacitance",
            "Wants a capacitance of",
            Quantity.CAPACITANCE,
            "Lead and input together, for a magnetic cartridge.");
    public static final Fact<Impedance> DRIVER_IMPEDANCE = of(
            Of.DEVICE, "driverImpedance", "Impedance", Quantity.IMPEDANCE, "Of headphones or a passive loudspeaker.");
    public static final Fact<SoundLevel> SOUND_PER_MILLIWATT = of(
            Of.DEVICE,
            "soundPerMilliwatt",
            "Sensitivity",
            Quantity.SOUND_PER_MILLIWATT,
            "What headphones give from a milliwatt.");
    public static final Fact<Power> MOST_POWER =
            of(Of.DEVICE, "mostPower", "Most power", Quantity.POWER, "What it gives or takes at the most.");
    public static final Fact<Frequency> LOWEST_FREQUENCY =
            of(Of.DEVICE, "lowestFrequency", "Goes down to", Quantity.FREQUENCY, "3 dB below the middle.");
    public static final Fact<Energy> STORED_ENERGY =
            of(Of.DEVICE, "storedEnergy", "Holds", Quantity.ENERGY, "What its battery holds when full.");

    public static final Fact<BitRate> FILM_RATE = of(
            Of.DEVICE,
            "filmRate",
            "Bit rate of its film",
            Quantity.BIT_RATE,
            "What a film takes of its card, picture and sound together.");

    // --- of one way of powering -------------------------------------------------------------------------------------

    public static final Fact<Voltage> DRAWN_VOLTAGE =
            of(Of.POWERING, "voltage", "Voltage", Quantity.VOLTAGE, "What its adapter or battery has.");
    public static final Fact<Current> DRAWN_CURRENT =
            of(Of.POWERING, "current", "Current", Quantity.CURRENT, "What it draws while it works.");
    public static final Fact<RunningTime> RUNS_FOR =
            of(Of.POWERING, "runsFor", "Runs for", Quantity.RUNNING_TIME, "On one set of batteries or one charge.");

    // --- of a lead
    // ----------------------------------------------------------------------------------------------------

    public static final Fact<Length> LENGTH = of(Of.LEAD, "length", "Length", Quantity.LENGTH, "From plug to plug.");
    public static final Fact<Capacitance> CAPACITANCE_PER_METRE = of(
            Of.LEAD,
            "capacitancePerMetre",
            "Capacitance per metre",
            Quantity.CAPACITANCE_PER_METRE,
            "Between core and shield. With a passive pickup it takes treble away.");
    public static final Fact<Impedance> CORE_RESISTANCE = of(
            Of.LEAD,
            "coreResistancePerMetre",
            "Core resistance per metre",
            Quantity.RESISTANCE_PER_METRE,
            "Of each inner wire.");
    public static final Fact<Impedance> SHIELD_RESISTANCE = of(
            Of.LEAD,
            "shieldResistancePerMetre",
            "Shield resistance per metre",
            Quantity.RESISTANCE_PER_METRE,
            "A ground loop's current through it becomes hum in an unbalanced lead.");
    public static final Fact<Impedance> RESISTOR =
            of(Of.WIRE, "resistor", "Resistor", Quantity.IMPEDANCE, "Built into this wire.");

    private final String id;
    private final String label;
    private final Quantity<T> quantity;
    private final String help;

    private Fact(String id, String label, Quantity<T> quantity, String help) {
        this.id = id;
        this.label = label;
        this.quantity = quantity;
        this.help = help;
    }

    private static <T> Fact<T> of(Of of, String id, String label, Quantity<T> quantity, String help) {
        Fact<T> fact = new Fact<>(id, label, quantity, help);
        ALL.computeIfAbsent(of, each -> new LinkedHashMap<>()).put(id, fact);
        return fact;
    }

    /** All that can be known of something, in the order in which it is shown. */
    public static List<Fact<?>> all(Of of) {
        return new ArrayList<>(ALL.get(of).values());
    }

    /** The fact of this name, if something can have it. */
    public static Optional<Fact<?>> named(Of of, String id) {
        return Optional.ofNullable(ALL.get(of).get(id));
    }

    /** In files: "loadImpedance". */
    public String id() {
        return id;
    }

    /** For people: "Load impedance". */
    public String label() {
        return label;
    }

    public Quantity<T> quantity() {
        return quantity;
    }

    /** What it means, in a sentence or two. */
    public String help() {
        return help;
    }

    @Override
    public String toString() {
        return id;
    }
}
