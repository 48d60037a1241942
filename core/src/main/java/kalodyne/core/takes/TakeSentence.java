package kalodyne.core.takes;

import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Print;

/** A take in one sentence, by itself: without knowing the run that it came from. */
public final class TakeSentence {
    private TakeSentence() {}

    public static String of(TakeReport take) {
        DigitalLevel peak = take.loudest().peakLevel();
        if (take.isSilent()) {
            return "Nothing was recorded.";
        }
        if (take.isClipped()) {
            int places = take.clipPlaces();
            return "Cut off at " + (places == 1 ? "one place" : Print.count(places) + " places")
                    + ": turn down and record again.";
        }
        String start = "Peaks at " + peak + ": ";
        if (take.findings().isEmpty()) {
            return start + "nothing wrong was found.";
        }
        return start + Print.withinSentence(take.findings().get(0).title()) + ".";
    }
}
