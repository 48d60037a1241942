package kalodyne.core.studio;

import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/** Failures of the database in words. */
final class Trouble {
    private Trouble() {}

    /** Why something could not be written, as part of a sentence: "the disk is full". */
    static String reason(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof StudioTrouble trouble) {
                return trouble.what();
            }
            if (cause instanceof SQLiteException sqlite) {
                return reason(sqlite.getResultCode());
            }
        }
        return "it cannot be written (" + failure.getClass().getSimpleName() + ")";
    }

    private static String reason(SQLiteErrorCode code) {
        // Extended codes say more precisely what their lowest byte says.
        return switch (code.code & 0xFF) {
            case 13 -> "the disk is full";
            case 8 -> "it may only be read";
            case 14 -> "it cannot be opened, perhaps because the folder is gone or may not be written";
            case 5, 6 -> "another program holds it";
            case 11, 26 -> "it is damaged";
            case 10 -> "the disk reports an error";
            case 23, 3 -> "the system does not allow it";
            default -> "it cannot be written (" + code.name() + ")";
        };
    }

    /** Whether a failure says that the file itself is damaged, not that it is busy or away. */
    static boolean isDamage(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLiteException sqlite) {
                int code = sqlite.getResultCode().code & 0xFF;
                return code == 11 || code == 26;
            }
        }
        return false;
    }
}
