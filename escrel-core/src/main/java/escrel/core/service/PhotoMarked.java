package escrel.core.service;

import java.util.List;

/**
 * Arrows on a photo, pointing at what it is taken for; the latest of each photo counts. The picture itself stays as it is.
 *
 * @param photo number of the photo within the job
 * @param arrows at most {@value #MOST}; none to take all of them off
 */
public record PhotoMarked(int photo, List<Arrow> arrows) implements Step {
    /** Most arrows on a photo. */
    public static final int MOST = 12;

    /**
     * An arrow, from its tail to its tip: fractions of the picture's width and of its height, from the upper left.
     */
    public record Arrow(double x, double y, double toX, double toY) {
        public Arrow {
            for (double at : new double[] {x, y, toX, toY}) {
                if (!(at >= 0 && at <= 1)) {
                    throw new IllegalArgumentException("An arrow lies within its picture");
                }
            }
        }
    }

    public PhotoMarked {
        arrows = List.copyOf(arrows);
        if (arrows.size() > MOST) {
            throw new IllegalArgumentException("A photo carries " + MOST + " arrows at most");
        }
    }

    /** The arrows on a photo after these steps. */
    public static List<Arrow> on(JobHistory history, int photo) {
        return history.all(PhotoMarked.class)
                .filter(m -> m.photo() == photo)
                .reduce((earlier, later) -> later)
                .map(PhotoMarked::arrows)
                .orElse(List.of());
    }

    @Override
    public boolean standsForItself() {
        return true;
    }
}
