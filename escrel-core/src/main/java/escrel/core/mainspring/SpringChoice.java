package escrel.core.mainspring;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;

/**
 * A spring that may take the place of another, and what that would mean. Source: M12.
 *
 * @param fill of the drum
 * @param turns of the drum
 * @param reserveHours turns by the hours of one
 * @param torque against the original, 1 for the same
 * @param amplitude against the original, about the root of the torque
 * @param rank what speaks against it
 */
public record SpringChoice(
        Mainspring spring, double fill, double turns, double reserveHours, double torque, double amplitude, Rank rank) {
    /** From the best to what does not go. */
    public enum Rank {
        CLOSE("close to the original"),
        OTHER_THICKNESS("another thickness"),
        WIDER_OR_NARROWER("too wide, or more than 0.1 mm narrower"),
        DOES_NOT_FIT("does not go into the drum");

        private final String words;

        Rank(String words) {
            this.words = words;
        }

        /** As it is said. */
        public String words() {
            return words;
        }
    }

    /** Thickness within which a spring counts as the same. Source: M12. */
    private static final double SAME_THICKNESS = 0.005;

    /** How much narrower than the original a spring may be. Source: M12. */
    private static final double NARROWER = 0.1;

    private static final double ROUNDING = 1e-9;

    /** More torque than this makes a watch knock that had its full swing. Ours. */
    private static final double KNOCKS = 1.15;

    /**
     * The candidates, best first: right width and thickness, then by how near they come to filling one half.
     *
     * @param hoursPerTurn of the barrel, above 0
     */
    public static List<SpringChoice> among(
            Drum drum, Mainspring original, double hoursPerTurn, Collection<Mainspring> candidates) {
        if (!(hoursPerTurn > 0 && hoursPerTurn < 100)) {
            throw new IllegalArgumentException(
                    "A barrel turns in more than 0 and less than 100 hours, was " + hoursPerTurn);
        }
        return candidates.stream()
                .map(c -> of(drum, original, hoursPerTurn, c))
                .sorted(Comparator.comparing(SpringChoice::rank)
                        .thenComparingDouble(c -> Math.abs(c.fill() - 0.5))
                        .thenComparingDouble(c -> Math.abs(c.torque() - 1)))
                .toList();
    }

    /** What one spring would do in the drum. */
    public static SpringChoice of(Drum drum, Mainspring original, double hoursPerTurn, Mainspring spring) {
        double torque = spring.torqueAgainst(original);
        boolean fits = spring.fits(drum);
        double turns = fits ? spring.turns(drum) : 0;
        return new SpringChoice(
                spring,
                spring.fill(drum),
                turns,
                turns * hoursPerTurn,
                torque,
                Math.sqrt(torque),
                fits ? rankOf(original, spring) : Rank.DOES_NOT_FIT);
    }

    private static Rank rankOf(Mainspring original, Mainspring spring) {
        double narrower = original.width() - spring.width();
        if (narrower < -ROUNDING || narrower > NARROWER + ROUNDING) {
            return Rank.WIDER_OR_NARROWER;
        }
        double other = Math.abs(spring.thickness() - original.thickness());
        return other <= SAME_THICKNESS + ROUNDING ? Rank.CLOSE : Rank.OTHER_THICKNESS;
    }

    /** What it means at the bench, in words. */
    public String words() {
        if (rank == Rank.DOES_NOT_FIT) {
            return rank.words();
        }
        String swing = torque > KNOCKS
                ? "may knock where the swing was full"
                : torque < 1 / KNOCKS ? "the swing will be smaller" : "about the same swing";
        String filled = fill > 0.58
                ? "; fills too much, turns are lost"
                : fill < 0.42 ? "; fills too little, turns are lost" : "";
        return rank.words() + ": " + swing + filled;
    }
}
