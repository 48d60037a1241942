package kalodyne.core.runsheet;

import kalodyne.core.gear.Coded;

/** What kind of thing is done in a step. The seconds are how long it usually takes; common practice. */
public enum Act implements Coded {
    LAY_READY("lay ready", 60),
    CHARGE("charge", 30),
    MAKE_ROOM("make room", 30),
    SILENCE("silence", 30),
    SWITCH_OFF("switch off", 10),
    TURN_DOWN("turn down", 15),
    SET_SWITCH("set switch", 10),
    EARS_OFF("ears off", 5),
    PLUG("plug", 25),
    SWITCH_ON("switch on", 30),
    PHANTOM_ON("phantom on", 10),
    LEAVE_PHANTOM_OFF("leave phantom off", 5),
    STOP("stop", 60),
    CHOOSE("choose", 20),
    SET_LEVEL("set level", 40),
    LISTEN("listen", 30),
    TEST_TAKE("test take", 90),
    TAKE("take", 0),
    FINISH("finish", 0),
    CHECK("check", 0),
    NAME("name", 0),
    TRIM("trim", 0),
    LINE_UP("line up", 0),
    MIX("mix", 0),
    BACK_UP("back up", 0),
    CLEAR("clear", 0),
    PHANTOM_OFF("phantom off", 0),
    WAIT("wait", 0),
    UNPLUG("unplug", 0),
    PUT_AWAY("put away", 0);

    private final String word;
    private final int seconds;

    Act(String word, int seconds) {
        this.word = word;
        this.seconds = seconds;
    }

    @Override
    public String word() {
        return word;
    }

    int seconds() {
        return seconds;
    }
}
