package escrel.core.diagnosis;

/** What is asked of a watch that does not run, from the balance back to the spring. Source: craft 7. */
public enum StopQuestion {
    BALANCE_FREE(
            "Does the balance swing freely by itself?", "take the fork out of its way, or lift it, and let it swing"),
    FORK_SNAPS(
            "Does power reach the fork: does it snap from side to side?",
            "a little wound; touch it across with a fine oiler"),
    BALANCE_GOES("Does the balance go when it is given a turn?", "wound, in beat as far as one sees"),
    SPRING_FELT(
            "Is a spring felt when it is wound?",
            "the ratchet wheel, with the crown or a screwdriver: it should push back"),
    TRAIN_FREE(
            "Does the train run by itself with the fork out?",
            "a touch of power, fork and balance away: it should spin and die down slowly");

    private final String words;
    private final String how;

    StopQuestion(String words, String how) {
        this.words = words;
        this.how = how;
    }

    /** As it is asked. */
    public String words() {
        return words;
    }

    /** How it is tried. */
    public String how() {
        return how;
    }
}
