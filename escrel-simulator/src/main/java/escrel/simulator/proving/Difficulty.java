package escrel.simulator.proving;

/** What makes a trial hard beside its noise; each is one thing that befalls real recordings. */
public enum Difficulty {
    /** Nothing beyond noise, hum, a knock, a drop-out. */
    PLAIN,
    /** The amplitude swells and sinks with a turn of the escape wheel. */
    SWELLING,
    /** The loudness jumps once or more: a hand on the table, a pick-up that slips, a recorder that levels. */
    LOUDNESS_JUMPS,
    /** Samples were lost on the way into the computer, once or twice: what follows comes too early. */
    LOST_SAMPLES,
    /** Rate and amplitude wander slowly. */
    WANDERING,
    /** Two channels, of which one is an open input: hiss, or hum. */
    OPEN_CHANNEL,
    /** Another watch lies near, far weaker. */
    NEIGHBOUR,
    /** The case throws back strong echoes. */
    ECHOES,
    /** So fast or slow that the period is not the nominal one by far. */
    FAR_OFF,
    /** The sounds are bursts of noise, never twice the same. */
    ROUGH,
    /** The loud sounds come as two knocks, a fraction of a millisecond apart. */
    DOUBLE_KNOCKS;

    /** Every other trial is plain, the rest takes turns. */
    static Difficulty of(long number) {
        return number % 2 == 0 ? PLAIN : values()[1 + (int) Math.floorMod(number / 2, values().length - 1)];
    }
}
