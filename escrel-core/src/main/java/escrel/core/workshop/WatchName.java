package escrel.core.workshop;

/**
 * What a watch is called in a job: its name on the bench, and whose it is.
 *
 * @param watch as on the bench
 * @param owner by role and place
 */
public record WatchName(String watch, String owner) {
    /** Longest of either. */
    public static final int LONGEST = 200;

    public WatchName {
        if (watch.isBlank() || owner.isBlank() || watch.length() > LONGEST || owner.length() > LONGEST) {
            throw new IllegalArgumentException(
                    "A watch and its owner are called something, each in at most " + LONGEST + " characters");
        }
    }

    /** The same watch, its owner called otherwise. */
    public WatchName of(String otherOwner) {
        return new WatchName(watch, otherOwner);
    }
}
