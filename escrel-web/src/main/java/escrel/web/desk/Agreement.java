package escrel.web.desk;

/**
 * Whether hearings in a row say the same: sounds taken for one another once are not so again a moment later. The amplitude tells, since
 * it is what such a mistake moves most.
 */
final class Agreement {
    private static final int IN_A_ROW = 3;
    private static final double ALIKE_DEGREES = 5;

    private int inARow;
    private double last;

    /** Takes one more hearing; whether it and the two before it are alike, each with the next. */
    boolean with(double amplitudeDegrees) {
        inARow = inARow > 0 && Math.abs(amplitudeDegrees - last) < ALIKE_DEGREES ? inARow + 1 : 1;
        last = amplitudeDegrees;
        return inARow >= IN_A_ROW;
    }

    /** Nothing was heard: what comes next begins a row. */
    void interrupted() {
        inARow = 0;
    }
}
