package escrel.core.timing.comparison;

/** What a difference amounts to. Source: M10. */
public enum Verdict {
    BETTER("better", "better beyond the noise"),
    WORSE("worse", "worse beyond the noise"),
    /** The middle did not move beyond its noise, but it wanders less. */
    STEADIER("steadier", "steadier: it wanders less beyond the noise"),
    /** The middle did not move beyond its noise, but it wanders more. */
    LESS_STEADY("less steady", "less steady: it wanders more beyond the noise"),
    /** No change beyond the noise. */
    NO_CHANGE("no change", "no change beyond the noise"),
    /** It moved beyond the noise, but was on target before and is on target now. */
    STILL_ON_TARGET("on target", "on target before and after"),
    /** It moved beyond the noise, and lies no nearer to the target nor farther from it. */
    MOVED("moved", "moved, no nearer to the target"),
    /** Only a bound is known, and it does not decide. */
    CANNOT_TELL("cannot tell", "cannot be told: only a bound is known"),
    /** Taken on unlike occasions: not compared. */
    UNLIKE("not alike", "not compared: the two were not taken alike");

    private final String word;
    private final String words;

    Verdict(String word, String words) {
        this.word = word;
        this.words = words;
    }

    /** In one or two words, for a table. */
    public String word() {
        return word;
    }

    /** As it is said in a sentence. */
    public String words() {
        return words;
    }
}
