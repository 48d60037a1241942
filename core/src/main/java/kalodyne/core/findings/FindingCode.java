package kalodyne.core.findings;

import java.util.Arrays;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What the program can notice. Each has a mark that other programs know it by, which never changes, and says when it is reported;
 * the tables of docs/formats are checked against this list.
 */
public enum FindingCode {
    AGC("agc", "in pauses the noise creeps up without changing its colour"),
    AMPLIFIER_NO_LOAD("amplifier.no-load", "an instrument's amplifier is played without its loudspeaker"),
    BALANCED_HALF("balanced.half", "of a balanced pair one leg arrives"),
    BALANCED_LEG_OPEN(
            "balanced.leg-open",
            "an unbalanced output, a balanced input, and a second leg that leads nowhere; weak where 3 dB or more are lost"),
    BAND_LIMITED("band.limited", "sound and noise end between 2.5 and 11.5 kHz"),
    CARTRIDGE_KIND(
            "cartridge.kind",
            "a moving-coil cartridge is on an input for moving-magnet ones, or the other way round: a load ten times off"),
    CARTRIDGE_CAPACITANCE("cartridge.capacitance", "1.6 times more or less than the cartridge wants"),
    CAUTION_LINE_INTO_MIC(
            "caution.line-into-mic", "a line or headphone output brings more than −10 dBu to a mic socket"),
    CAUTION_PHANTOM(
            "caution.phantom",
            "a microphone that phantom power harms is on an input that can give it: always; or phantom power is"
                    + " off and would do harm if it were on"),
    CAUTION_PLUGGING("caution.plugging", "a run has knobs: turn them down before plugging"),
    CAUTION_SPEAKER_INTO_INPUT(
            "caution.speaker-into-input", "a loudspeaker's output reaches anything but a loudspeaker"),
    CHANNEL_DEAD("channel.dead", "nothing above −90 dBFS in one channel while another is above −50"),
    CHANNEL_DUAL_MONO("channel.dual-mono", "two channels differ by less than −30 dB"),
    CHANNEL_INVERTED("channel.inverted", "what is heard of two channels correlates below −0.85"),
    CHANNEL_SWAPPED(
            "channel.swapped",
            "against a reference: colours and levels of the two channels fit twice as well crossed, and by 3 dB"
                    + " or more; else the plan has the first channel 6 dB or more above the second, or below, and the take"
                    + " the other way round"),
    CLICK("click", "jumps of the wave above 5 % of the peak in a sound that goes on as it was; not in rhythm"),
    CLIP_ANALOGUE(
            "clip.analogue", "tops below full scale are flat, all at one height, with round ones below and none above"),
    CLIP_DIGITAL("clip.digital", "tops are cut off at full scale"),
    DC("dc", "the mean is more than 0.5 % of full scale off zero"),
    DROPOUT(
            "dropout",
            "sound stops for 0.5 to 150 ms near its middle and goes on as loud as before; not where it is in rhythm"),
    DULL(
            "dull",
            "against a reference: what is missing falls as behind a corner of first or second order between 0.4"
                    + " and 6 kHz, 6 dB or more at 5 kHz, and that explains 80 % of the difference (in squares) over"
                    + " octave-wide bands; else where the joints of the run take 6 dB or more away and the take has no"
                    + " more treble than that leaves"),
    EARS_EXPOSURE(
            "ears.exposure",
            "80 dB on average or more; how long ears bear it: ITU-T H.870 (80 dB(A), 40 h a week), NIOSH 98-126"
                    + " (85 dB(A), 8 h a day, 3 dB for half the time), both from memory"),
    EARS_FULL("ears.full", "100 dB or more with every knob full"),
    FILE_CUT_SHORT("file.cut-short", "samples that the file promises are not there"),
    FILE_GROWING("file.growing", "the file became longer while it was read"),
    FILE_SIZE_WRONG("file.size-wrong", "a length in the head is wrong; all samples were read"),
    GAIN_FEEDBACK(
            "gain.feedback",
            "a microphone is heard on a loudspeaker, taken as 1 m away: sensitivity · everything between ·"
                    + " loudspeaker; told from −20 dB on"),
    GAIN_LOOP("gain.loop", "a signal comes back to where it was"),
    GEAR_UNUSUAL("gear.unusual", "a value of the gear lies outside what is usual for its kind"),
    HEADPHONES_DAMPING("headphones.damping", "the driver has less than 8 times the output's impedance"),
    HEADSET_MIC_OPEN("headset.mic-open", "a phone finds more than 50 kΩ on its microphone contact"),
    HEADSET_MIC_SHORTED("headset.mic-shorted", "a phone finds less than 1 kΩ on its microphone contact"),
    HISS(
            "hiss",
            "noise without pitch in the pauses above 1 kHz; wrong where the loud places lie less than 38 dB(A)"
                    + " above, weak up to 52"),
    HUM_EARTH_WIRE("hum.earth-wire", "the earth wire of a turntable goes nowhere"),
    HUM_GROUND_LOOP(
            "hum.ground-loop",
            "hum less than 60 dB under the average signal that flows between two mains earths, through the shields and"
                    + " USB leads of the whole rig"),
    HUM_LEAKAGE("hum.leakage", "the same hum, from an adapter that leaks"),
    HUM_MAINS(
            "hum.mains",
            "tones at multiples of 50 or 60 Hz, mostly odd ones; wrong where the loud places lie less than 62"
                    + " dB(A) above, weak up to 75"),
    HUM_RECTIFIER("hum.rectifier", "tones at multiples of 50 or 60 Hz, mostly even ones"),
    HUM_USB("hum.usb", "the shield of an unbalanced lead and a USB lead that power runs through close a loop"),
    INPUT_NOT_SELECTED("input.not-selected", "a switch leaves out the input that a source is in"),
    INPUT_SHARED("input.shared", "two sources are in inputs of one channel"),
    INSERT_OPEN("insert.open", "a plug is in an insert and nothing comes back"),
    JOINT_LOADING("joint.loading", "the input takes more of the level than it should"),
    JOINT_UNSOLVED("joint.unsolved", "the circuit of a joint has no solution"),
    KNOB_COARSE("knob.coarse", "a knob is advised where a quarter of an hour changes more than 3 dB"),
    KNOB_UNTOLD("knob.untold", "nobody said where some knobs of the run stand"),
    LEAD_LONG("lead.long", "more than about 3 m unbalanced, 300 m balanced"),
    LEVEL_AUTOMATIC("level.automatic", "the recorder has an automatic level"),
    LEVEL_BALANCE("level.balance", "how separate tracks are mixed for the balance that is wished"),
    LEVEL_CANCELS("level.cancels", "left and right of a source meet the wrong way round"),
    LEVEL_CLIPS("level.clips", "the loudest peak passes a ceiling; the first one along the run"),
    LEVEL_HOT("level.hot", "the loudest peak lies above the aim"),
    LEVEL_LOW("level.low", "the loudest peak lies below the aim"),
    LEVEL_MIC_INTO_LINE("level.mic-into-line", "a microphone brings less than −25 dBu to a line input"),
    LEVEL_NO_FIT("level.no-fit", "no position of the knobs brings the peak into the aim"),
    LEVEL_OVER("level.over", "a floating-point file goes above full scale"),
    LEVEL_OVERLOAD("level.overload", "more than the input takes"),
    LEVEL_PANNED("level.panned", "a pan pot is turned away from the only side that is recorded"),
    LEVEL_PLAYING("level.playing", "for what playing and distance a microphone's level holds"),
    LEVEL_SILENT("level.silent", "nothing above −90 dBFS"),
    LEVEL_TOGETHER(
            "level.together", "a stage clips if all players peak in one moment, at the resonance of their leads"),
    MIDI_ALIKE("midi.alike", "two outputs or two inputs of MIDI are joined"),
    MIDI_NO_CURRENT("midi.no-current", "less than 2 mA flow in a MIDI loop (MIDI 1.0: 5 mA)"),
    MIDI_REVERSED("midi.reversed", "the wires of a MIDI loop are crossed"),
    MONO_CANCEL("mono.cancel", "the sum of two channels is 3 dB or more softer than their powers"),
    NOISE_GATE(
            "noise.gate",
            "steady noise falls by 12 dB or more within 20 ms, twice or more, always from the same level"),
    NOISE_HIGH("noise.high", "noise above −60 dBFS even with the knobs as advised"),
    NOISE_IMPOSSIBLE("noise.impossible", "EIN under the thermal noise of 150 Ω, −130.9 dBu (√(4kTRB), 20 °C, 20 kHz)"),
    NOISE_ORIGIN("noise.origin", "which stage makes most of the noise"),
    OUTPUT_SHORTED("output.shorted", "an output lies on its own ground"),
    OUTPUTS_TIED("outputs.tied", "two outputs work into each other"),
    PHANTOM_INTO_OUTPUT("phantom.into-output", "phantom power (IEC 61938) drives more than 0.2 mA into an output"),
    PHANTOM_THROUGH_COIL("phantom.through-coil", "phantom power drives a current through the coil of a microphone"),
    PLUG_DOES_NOT_FIT("plug.does-not-fit", "a plug does not go into its socket"),
    POWER_BUS_SHORT(
            "power.bus-short", "more is drawn from a USB port than it gives (what it gives is a value of the gear)"),
    POWER_BUS_DROP("power.bus-drop", "less than 4.4 V arrive at a device that lives on USB (USB 2.0, from memory)"),
    POWER_MISSING("power.missing", "less than half of the phantom or plug-in power that is needed arrives"),
    POWER_NOT_FED("power.not-fed", "a device that lives on USB gets no power from anywhere"),
    POWER_REVERSED("power.reversed", "the power arrives the wrong way round"),
    POWER_THROUGH_COIL(
            "power.through-coil", "0.1 mA or more of plug-in power flow through a microphone that needs none"),
    RESPONSE_DULL("response.dull", "3 dB down below 16 kHz; a pickup below 4 kHz"),
    RESPONSE_THIN("response.thin", "bass is lost: 3 dB down above 60 Hz"),
    RIAA_DOUBLE("riaa.double", "a record was equalised twice"),
    RIAA_MISSING("riaa.missing", "a record was not equalised (IEC 60098)"),
    RUMBLE("rumble", "noise between 5 and 32 Hz above −51 dBFS in the pauses, 18 dB over what is above it"),
    SAMPLES_UNUSABLE("samples.unusable", "a floating-point file holds what is no number; it was taken as silence"),
    SATURATION("saturation", "the highest half-waves fill 3 % or more of their box more than those 2 to 6 dB lower"),
    SHEET_BATTERY_SHORT(
            "sheet.battery-short",
            "a battery does not last for what is planned and half an hour around it (common" + " practice)"),
    SHEET_CONTRADICTION("sheet.contradiction", "reasons of safety or need contradict each other"),
    SHEET_LEAD_SHORT("sheet.lead-short", "a lead does not reach from one place to the other"),
    SHEET_PHANTOM_CONFLICT(
            "sheet.phantom-conflict",
            "one switch feeds what needs phantom power and what must not get it; it stays" + " off"),
    SHEET_SPACE_SHORT("sheet.space-short", "free space does not hold what is planned"),
    SIGNAL_LOST("signal.lost", "nothing arrives"),
    STEREO_CANCELS("stereo.cancels", "left and right arrive against each other"),
    STEREO_CROSSED("stereo.crossed", "the left side of a source arrives on the right one, or the other way round"),
    STEREO_CROSSTALK(
            "stereo.crosstalk", "one side is heard in the other less than 25 dB down, through a wire that both share"),
    STEREO_HALF_OUTPUT("stereo.half-output", "of a pair of outputs one is used that gives its own side only"),
    STEREO_MONO_OUTPUT("stereo.mono-output", "of a pair of outputs one is used that then gives both sides"),
    STEREO_ONE_INPUT("stereo.one-input", "one signal arrives on one side of an input for two"),
    STEREO_ONE_SIDE("stereo.one-side", "one of two sides arrives nowhere (under −55 dB)"),
    STEREO_OPPOSED("stereo.opposed", "the two legs of a balanced output arrive as left and right"),
    STEREO_PANNED_AWAY("stereo.panned-away", "a channel is panned to a side of which no output is used"),
    STEREO_SUMMED("stereo.summed", "left and right arrive as one"),
    STEREO_TO_BOTH("stereo.to-both", "an input with nothing in it hears the one beside it"),
    SUB_CROSSOVER("sub.crossover", "where the subwoofer takes over (Linkwitz–Riley, 4th order)"),
    SUB_GAP("sub.gap", "the speakers do not go down to where the subwoofer takes over"),
    SUB_HIGH("sub.high", "a subwoofer takes over above 120 Hz"),
    TAKE_OTHER_RATE("take.other-rate", "the take has another sample rate than the run"),
    TAKE_SOURCE_DIFFERS("take.source-differs", "the loudest peak lies more than 3 dB off the prediction"),
    USB_CHARGE_ONLY("usb.charge-only", "power arrives, data does not"),
    USB_CHARGE_SOCKET("usb.charge-socket", "a device is in a hub's socket for a charger"),
    USB_DRIVER("usb.driver", "a device that needs a driver is behind the port of a phone or tablet"),
    USB_NOT_SEEN("usb.not-seen", "no computer, phone or tablet is behind the USB of what is recorded over it"),
    VALUE_CONTRADICTION("value.contradiction", "two values cannot both be right"),
    VALUE_UNKNOWN("value.unknown", "something is not known; says what was taken"),
    WHINE_USB("whine.usb", "three or more steady tones at multiples of 1,000 Hz in the pauses");

    private static final Map<String, FindingCode> BY_MARK =
            Arrays.stream(values()).collect(Collectors.toUnmodifiableMap(FindingCode::mark, Function.identity()));

    private final String mark;
    private final String when;

    FindingCode(String mark, String when) {
        this.mark = mark;
        this.when = when;
    }

    /** "level.hot". */
    public String mark() {
        return mark;
    }

    /** When it is reported, in words. */
    public String when() {
        return when;
    }

    /** What it is about, which several have in common: "level". */
    public String topic() {
        int point = mark.indexOf('.');
        return point < 0 ? mark : mark.substring(0, point);
    }

    /**
     * The one with a mark.
     *
     * @throws IllegalArgumentException where there is none: data that ships names one that does not exist
     */
    public static FindingCode of(String mark) {
        FindingCode code = BY_MARK.get(mark);
        if (code == null) {
            throw new IllegalArgumentException("there is no finding “" + mark + "”");
        }
        return code;
    }

    /** Whether all else is for nothing while it is so: what is recorded with is dead, or not seen. */
    public boolean isOfChain() {
        return switch (this) {
            case POWER_NOT_FED, POWER_BUS_SHORT, USB_CHARGE_ONLY, USB_CHARGE_SOCKET, USB_DRIVER, USB_NOT_SEEN -> true;
            default -> false;
        };
    }

    @Override
    public String toString() {
        return mark;
    }
}
