package escrel.core.parts;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.service.Step;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Between what end-shake and side-shake should lie, by the size of the movement; the whole table, the latest counts. What stands
 * there until a workshop says otherwise is ours.
 */
public record PlayLimits(List<Limit> limits) implements Step {
    /** Sizes of movements, by diameter. */
    public enum Size {
        SMALL("under 18 mm", 18),
        WRIST("18 to 32 mm", 32),
        POCKET("over 32 mm", Double.MAX_VALUE);

        private final String words;
        private final double below;

        Size(String words, double below) {
            this.words = words;
            this.below = below;
        }

        /** As it is said. */
        public String words() {
            return words;
        }

        /** The size of a movement of this diameter, mm. */
        public static Size of(double diameter) {
            return diameter < SMALL.below ? SMALL : diameter <= WRIST.below ? WRIST : POCKET;
        }
    }

    /** Whose play it is. */
    public enum Whose {
        BALANCE("balance"),
        TRAIN("train wheel"),
        BARREL("barrel");

        private final String words;

        Whose(String words) {
            this.words = words;
        }

        /** As it is said. */
        public String words() {
            return words;
        }
    }

    /**
     * One line of the table.
     *
     * @param what end-shake or side-shake
     * @param low mm, 0 and more
     * @param high mm, above {@code low}, at most {@value PlayLimits#MOST}
     */
    public record Limit(Size size, Whose whose, Felt.Play what, double low, double high) {
        public Limit {
            if (!(low >= 0 && high > low && high <= MOST)) {
                throw new IllegalArgumentException("A play lies between 0 and " + MOST + " mm, from low to high");
            }
        }
    }

    /** Most play anybody allows, mm. */
    public static final double MOST = 1;

    private static final double[][] OURS = {
        // end-shake: balance, train, barrel; then side-shake
        {0.02, 0.04, 0.02, 0.05, 0.03, 0.08, 0.01, 0.02, 0.01, 0.03, 0.02, 0.05},
        {0.03, 0.05, 0.03, 0.06, 0.05, 0.10, 0.01, 0.03, 0.02, 0.04, 0.03, 0.07},
        {0.04, 0.08, 0.05, 0.10, 0.08, 0.15, 0.02, 0.04, 0.03, 0.06, 0.05, 0.10},
    };

    /** Until the workshop says otherwise. */
    public static final PlayLimits USUAL = usual();

    public PlayLimits {
        limits = List.copyOf(limits);
        if (limits.size() > 18) {
            throw new IllegalArgumentException("The table has 18 lines");
        }
    }

    private static PlayLimits usual() {
        List<Limit> all = new ArrayList<>();
        for (Size size : Size.values()) {
            int at = 0;
            for (Felt.Play what : Felt.Play.values()) {
                for (Whose whose : Whose.values()) {
                    double[] row = OURS[size.ordinal()];
                    all.add(new Limit(size, whose, what, row[at], row[at + 1]));
                    at += 2;
                }
            }
        }
        return new PlayLimits(all);
    }

    /** The line for a part of a movement; nothing for a part whose play nobody limits. */
    public Optional<Limit> of(CalibreSheet sheet, Part part, Felt.Play what) {
        Size size = Size.of(sheet.data().diameterMillimetres());
        return whose(sheet, part)
                .flatMap(w -> limits.stream()
                        .filter(l -> l.size() == size && l.whose() == w && l.what() == what)
                        .reduce((earlier, later) -> later));
    }

    private static Optional<Whose> whose(CalibreSheet sheet, Part part) {
        if (part.role() == Role.BARREL) {
            return Optional.of(Whose.BARREL);
        }
        boolean balance = part.group() == Group.BALANCE_AND_ESCAPEMENT
                && part.name().toLowerCase(Locale.ROOT).contains("balance");
        if (balance) {
            return Optional.of(Whose.BALANCE);
        }
        boolean mobile = sheet.train() != null
                && sheet.train().mobiles().stream().anyMatch(m -> m.part().equals(part.code()));
        boolean wheel = mobile
                || part.role() == Role.ESCAPE_WHEEL
                || part.role() == Role.PALLET_FORK
                || part.group() == Group.TRAIN && part.role() == null;
        return wheel ? Optional.of(Whose.TRAIN) : Optional.empty();
    }

    /** What was measured last of each play of a part. */
    public static Map<Felt.Play, Double> measured(List<Gauged> gauged, String part) {
        Map<Felt.Play, Double> last = new EnumMap<>(Felt.Play.class);
        for (Gauged one : gauged) {
            if (one.part().equals(part) && one.what() == Gauged.What.END_SHAKE) {
                last.put(Felt.Play.END_SHAKE, one.millimetres());
            } else if (one.part().equals(part) && one.what() == Gauged.What.SIDE_SHAKE) {
                last.put(Felt.Play.SIDE_SHAKE, one.millimetres());
            }
        }
        return last;
    }

    /** What a measure is against its line. */
    public static String judged(Limit limit, double millimetres) {
        return millimetres < limit.low() ? "too little" : millimetres > limit.high() ? "too much" : "as it should be";
    }
}
