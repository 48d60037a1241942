package kalodyne.core.practice;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import kalodyne.core.findings.FindingCode;

/** Faults of a take that can be heard and seen, and that the take reader finds. */
public enum Fault {
    NOTHING("Nothing is wrong with it"),
    CLIPPED("It is cut off at the converter", FindingCode.CLIP_DIGITAL),
    CLIPPED_BEFORE("It is cut off before the converter", FindingCode.CLIP_ANALOGUE),
    HUM("It hums", FindingCode.HUM_MAINS),
    HISS("It hisses", FindingCode.HISS),
    ONE_SIDE("One side is dead", FindingCode.CHANNEL_DEAD),
    INVERTED("One side is upside down", FindingCode.CHANNEL_INVERTED),
    AUTOMATIC("An automatic level rides it", FindingCode.AGC),
    GATE("A noise gate closes in the pauses", FindingCode.NOISE_GATE),
    DROPOUTS("Pieces are missing", FindingCode.DROPOUT),
    CLICKS("It clicks", FindingCode.CLICK),
    WHINE("The USB connection whines", FindingCode.WHINE_USB),
    PHONE_BAND("It sounds as over a telephone", FindingCode.BAND_LIMITED),
    RUMBLE("It rumbles", FindingCode.RUMBLE),
    DC("It lies off the zero line", FindingCode.DC);

    private final String words;
    private final Optional<FindingCode> code;

    Fault(String words) {
        this.words = words;
        code = Optional.empty();
    }

    Fault(String words, FindingCode code) {
        this.words = words;
        this.code = Optional.of(code);
    }

    /** As it is chosen. */
    public String words() {
        return words;
    }

    /** What the take reader calls it; empty where nothing is wrong. */
    public Optional<FindingCode> code() {
        return code;
    }

    /** Under which practising it is kept: "fault.hiss". */
    public String topic() {
        return topic(code.map(FindingCode::mark).orElse("none"));
    }

    /** Under which practising to hear a finding would be kept, by its code. */
    public static String topic(String finding) {
        return "fault." + finding;
    }

    static List<Fault> all() {
        return Arrays.asList(values());
    }
}
