package kalodyne.core.gear;

/** Whether a device is seen over USB without a driver of its maker: class-compliant, as phones and tablets need it. */
public enum Driver implements Coded {
    NOT_NEEDED("not needed"),
    NEEDED("needed");

    private final String word;

    Driver(String word) {
        this.word = word;
    }

    @Override
    public String word() {
        return word;
    }
}
