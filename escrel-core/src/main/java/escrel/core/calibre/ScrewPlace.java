package escrel.core.calibre;

/**
 * A screw by its hole. Screws are counted by where they live, since two that look alike may differ in length or thread.
 *
 * @param code unique on the sheet
 * @param part the part it holds
 * @param x millimetres from the centre, towards 3, seen from the dial
 * @param y millimetres from the centre, towards 12
 * @param bladeMillimetres width of the blade that fits
 * @param home whether it must go back into its own hole
 */
public record ScrewPlace(
        String code,
        String part,
        double x,
        double y,
        LengthClass length,
        Head head,
        Thread thread,
        double bladeMillimetres,
        Home home,
        String note) {
    /** Lengths as told apart by eye within one movement. */
    public enum LengthClass {
        VERY_SHORT,
        SHORT,
        MIDDLE,
        LONG
    }

    /** Shape of the head. */
    public enum Head {
        FLAT,
        RAISED,
        COUNTERSUNK,
        SHOULDERED,
        HALF_MOON,
        SIDE
    }

    /** Which way it turns. */
    public enum Thread {
        RIGHT,
        /** Undone clockwise. */
        LEFT,
        /** Neither pitch nor diameter of its neighbours. */
        ODD
    }

    /** Where it may go back. */
    public enum Home {
        ANY_OF_ITS_KIND,
        OWN_HOLE
    }

    /** The same screw in another place. */
    public ScrewPlace at(double newX, double newY) {
        return new ScrewPlace(code, part, newX, newY, length, head, thread, bladeMillimetres, home, note);
    }

    public ScrewPlace {
        note = Copies.text(note);
        thread = thread == null ? Thread.RIGHT : thread;
        head = head == null ? Head.FLAT : head;
        home = home == null ? Home.ANY_OF_ITS_KIND : home;
    }
}
