package kalodyne.core.gear;

import static kalodyne.core.gear.Contact.*;

import java.util.List;

/** A kind of connector with its contacts, in the order from the tip or from the first number. */
@SuppressWarnings("ImmutableEnumChecker") // the list is a copy that cannot be changed
public enum Connector implements Coded {
    JACK_635_TS("6.35 mm two-pole", Family.JACK_635, TIP, SLEEVE),
    JACK_635_TRS("6.35 mm three-pole", Family.JACK_635, TIP, RING, SLEEVE),
    JACK_35_TS("3.5 mm two-pole", Family.JACK_35, TIP, SLEEVE),
    JACK_35_TRS("3.5 mm three-pole", Family.JACK_35, TIP, RING, SLEEVE),
    JACK_35_TRRS("3.5 mm four-pole", Family.JACK_35, TIP, RING_1, RING_2, SLEEVE),
    XLR("XLR three-pin", Family.XLR, ONE, TWO, THREE),
    RCA("RCA", Family.RCA, PIN, SHELL),
    DIN_5("five-pin DIN", Family.DIN, ONE, TWO, THREE, FOUR, FIVE),
    USB_A("USB-A", Family.DIGITAL, POWER, DATA, GROUND),
    USB_B("USB-B", Family.DIGITAL, POWER, DATA, GROUND),
    USB_C("USB-C", Family.DIGITAL, POWER, DATA, GROUND),
    USB_MICRO_B("USB micro-B", Family.DIGITAL, POWER, DATA, GROUND),
    USB_MINI_B("USB mini-B", Family.DIGITAL, POWER, DATA, GROUND),
    DIGITAL_PORT("phone's own digital port", Family.DIGITAL, POWER, DATA, GROUND),
    OPTICAL("optical", Family.OPTICAL, LIGHT),
    RADIO("radio", Family.RADIO, AIR),
    POSTS("binding posts", Family.POSTS, PLUS, MINUS),
    SPEAKER_LOCKING("locking speaker connector", Family.SPEAKER, PLUS, MINUS),
    BARE_WIRE("bare wire", Family.POSTS, PLUS, MINUS),
    EARTH_POST("earth post", Family.EARTH, EARTH),
    EARTH_SPADE("earth spade", Family.EARTH, EARTH),
    BARREL("barrel for DC", Family.BARREL, PIN, SHELL),
    MAINS_3("mains, earthed", Family.MAINS, LIVE, NEUTRAL, EARTH),
    MAINS_2("mains, not earthed", Family.MAINS, LIVE, NEUTRAL);

    /** Connectors of which a plug of one goes at least part of the way into a socket of another. */
    public enum Family {
        JACK_635,
        JACK_35,
        XLR,
        RCA,
        DIN,
        DIGITAL,
        OPTICAL,
        RADIO,
        POSTS,
        SPEAKER,
        EARTH,
        BARREL,
        MAINS
    }

    private final String word;
    private final Family family;
    private final List<Contact> contacts;

    Connector(String word, Family family, Contact... contacts) {
        this.word = word;
        this.family = family;
        this.contacts = List.of(contacts);
    }

    @Override
    public String word() {
        return word;
    }

    public Family family() {
        return family;
    }

    public List<Contact> contacts() {
        return contacts;
    }

    public boolean isJack() {
        return family == Family.JACK_635 || family == Family.JACK_35;
    }
}
