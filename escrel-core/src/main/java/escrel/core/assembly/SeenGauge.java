package escrel.core.assembly;

import escrel.core.calibre.AssemblyTest;
import java.util.Locale;
import java.util.Optional;

/** What is judged by eye at a test, against what it should be; the value goes into the test's note. */
public enum SeenGauge {
    /**
     * How far a tooth's tip reaches down the other wheel's tooth, percent: about two thirds. Source: craft 2.13; how far off still
     * works is ours.
     */
    COUPLING(
            "depth",
            "%",
            0,
            100,
            67,
            50,
            80,
            "too shallow, it slips or stops the hand",
            "about two thirds, as it should be",
            "too deep, it robs the balance"),
    /**
     * How far from zero the hand that stands worse comes to rest when it is reset after some minutes' run, in marks of its dial:
     * exactly. Source: craft 2.13.
     */
    ZERO(
            "off zero",
            "marks",
            -10,
            10,
            0,
            0,
            0,
            "short of zero: its hammer face, or the hand on its post",
            "exactly back to zero",
            "beyond zero: its hammer face, or the hand on its post"),
    /** Minutes from midnight at which the date has changed, before it below zero: within ten. Source: M18. */
    DATE(
            "date",
            "min",
            -60,
            60,
            0,
            -10,
            10,
            "too early: set the hour hand where it has just jumped",
            "within ten minutes of midnight",
            "too late: set the hour hand where it has just jumped");

    private final String word;
    private final String unit;
    private final int least;
    private final int most;
    private final int usual;
    private final int low;
    private final int high;
    private final String below;
    private final String right;
    private final String above;

    SeenGauge(
            String word,
            String unit,
            int least,
            int most,
            int usual,
            int low,
            int high,
            String below,
            String right,
            String above) {
        this.word = word;
        this.unit = unit;
        this.least = least;
        this.most = most;
        this.usual = usual;
        this.low = low;
        this.high = high;
        this.below = below;
        this.right = right;
        this.above = above;
    }

    /** The gauge of a test, by what it is called; nothing for most. */
    public static Optional<SeenGauge> of(AssemblyTest test) {
        String name = test.name().toLowerCase(Locale.ROOT);
        if (name.contains("coupling")) {
            return Optional.of(COUPLING);
        }
        if (name.contains("zero")) {
            return Optional.of(ZERO);
        }
        return test.isDateChange() ? Optional.of(DATE) : Optional.empty();
    }

    /** What a value is against what it should be. */
    public String judged(int value) {
        return value < low ? below : value > high ? above : right;
    }

    /** Begins the words that stand in the note: "depth 65 %". */
    public String word() {
        return word;
    }

    /** Of its values. */
    public String unit() {
        return unit;
    }

    /** Least value that can be said. */
    public int least() {
        return least;
    }

    /** Most. */
    public int most() {
        return most;
    }

    /** Where it is shown before anything was said. */
    public int usual() {
        return usual;
    }

    /** From here on it is right. */
    public int low() {
        return low;
    }

    /** Up to here. */
    public int high() {
        return high;
    }

    /** Said of less. */
    public String below() {
        return below;
    }

    /** Said of what is right. */
    public String right() {
        return right;
    }

    /** Said of more. */
    public String above() {
        return above;
    }
}
