package escrel.core.service;

import java.util.List;

/**
 * Two photos of the same thing were laid beside each other: dirty and clean, then and now. Said again of the same two, the
 * latest counts.
 *
 * @param before number of the earlier photo within the job
 * @param after number of the later one
 * @param beforeMarks two points of the earlier one, or none while they are not lined up
 * @param afterMarks the same two points on the later one
 * @param words what the pair shows, may be empty
 * @param inReport whether the owner gets to see it
 */
public record PhotosPaired(
        int before, int after, List<Mark> beforeMarks, List<Mark> afterMarks, String words, boolean inReport)
        implements Step {
    /** Most characters of the words. */
    public static final int LONGEST = 300;

    private static final double TALLEST = 10;
    /** Marks nearer to each other than this say nothing of direction and scale; as part of the width. */
    private static final double NEAREST = 0.05;

    /**
     * A point of a picture, from its upper left corner, as parts of the picture's width.
     *
     * @param x from 0 to 1
     * @param y downwards, from 0
     */
    public record Mark(double x, double y) {
        public Mark {
            if (!(x >= 0 && x <= 1 && y >= 0 && y <= TALLEST)) {
                throw new IllegalArgumentException("a mark lies in its picture, not at " + x + ", " + y);
            }
        }

        private double to(Mark other) {
            return Math.hypot(x - other.x, y - other.y);
        }
    }

    /**
     * How the later photo is moved to lie on the earlier: turned, scaled and shifted, nothing more. A point (x, y) of the later
     * comes to lie at (a x − b y + dx, b x + a y + dy), all in widths.
     */
    public record Laying(double a, double b, double dx, double dy) {
        /** Each on the other as it was taken. */
        public static final Laying AS_TAKEN = new Laying(1, 0, 0, 0);
    }

    public PhotosPaired {
        beforeMarks = List.copyOf(beforeMarks);
        afterMarks = List.copyOf(afterMarks);
        words = words == null ? "" : words;
        boolean lined = beforeMarks.size() == 2 && afterMarks.size() == 2;
        if (before == after || words.length() > LONGEST || !lined && !(beforeMarks.isEmpty() && afterMarks.isEmpty())) {
            throw new IllegalArgumentException("a pair is two photos, with two marks on each or none");
        }
        if (lined && (apart(beforeMarks) < NEAREST || apart(afterMarks) < NEAREST)) {
            throw new IllegalArgumentException("the two marks of a picture lie too near to each other");
        }
    }

    private static double apart(List<Mark> marks) {
        return marks.get(0).to(marks.get(1));
    }

    /** How the later one lies on the earlier: the one similarity that brings both its marks onto the other's. */
    public Laying laying() {
        if (beforeMarks.isEmpty()) {
            return Laying.AS_TAKEN;
        }
        double ux = beforeMarks.get(1).x() - beforeMarks.get(0).x();
        double uy = beforeMarks.get(1).y() - beforeMarks.get(0).y();
        double vx = afterMarks.get(1).x() - afterMarks.get(0).x();
        double vy = afterMarks.get(1).y() - afterMarks.get(0).y();
        double square = vx * vx + vy * vy;
        // the quotient of the two directions as complex numbers
        double a = (ux * vx + uy * vy) / square;
        double b = (uy * vx - ux * vy) / square;
        Mark first = afterMarks.get(0);
        return new Laying(
                a,
                b,
                beforeMarks.get(0).x() - (a * first.x() - b * first.y()),
                beforeMarks.get(0).y() - (b * first.x() + a * first.y()));
    }

    /** Whether another says something of the same two photos. */
    public boolean sameAs(PhotosPaired other) {
        return before == other.before && after == other.after;
    }

    /** The pairs of a job, first made first, each as it was said last. */
    public static List<PhotosPaired> in(JobHistory history) {
        List<PhotosPaired> all = history.all(PhotosPaired.class).toList();
        return all.stream()
                .filter(p -> all.stream().filter(p::sameAs).reduce((x, y) -> y).orElse(p) == p)
                .toList();
    }
}
