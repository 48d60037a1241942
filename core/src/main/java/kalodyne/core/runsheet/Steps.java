package kalodyne.core.runsheet;

import java.util.List;
import java.util.function.Predicate;

/** The ids of steps that parts of a sheet know of each other. */
final class Steps {
    static final String SPEAKERS_OFF = "off:speakers";
    static final String EARS_OFF = "ears-off";
    static final String TEST_TAKE = "test-take";
    static final String STOP = "down:stop";
    static final String LEVELS_DOWN = "down:levels";
    static final String UNPLUG_ALL = "down:unplug";
    static final String PHANTOM_WAIT = "down:wait";
    static final String SPEAKERS_DOWN = "down:speakers";

    /** What several parts of a sheet add to in one go. */
    static final String ALL_DOWN = "Everything down, switches as they should be";

    private Steps() {}

    static String on(String device) {
        return "on:" + device;
    }

    static String off(String device) {
        return "down:off:" + device;
    }

    static String phantomOff(String control) {
        return "phantom-off:" + control;
    }

    static String phantomOn(String control) {
        return "phantom-on:" + control;
    }

    static String phantomOffAgain(String control) {
        return "down:phantom-off:" + control;
    }

    /** What is done on a recorder in one go. */
    static String setUp(String recorder) {
        return "Set up " + recorder;
    }

    static String unplug(Link link) {
        return "down:un" + link.id();
    }

    static Predicate<Step> does(Act... acts) {
        return step -> List.of(acts).contains(step.act());
    }

    static Predicate<Step> in(Section section) {
        return step -> step.section() == section;
    }

    /** One of these, before anything is plugged. */
    static Predicate<Step> quietly(Act... acts) {
        return does(acts).and(in(Section.QUIET));
    }
}
