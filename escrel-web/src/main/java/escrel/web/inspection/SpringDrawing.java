package escrel.web.inspection;

import escrel.core.mainspring.Drum;
import escrel.core.mainspring.Mainspring;
import java.util.Locale;

/**
 * A spring in its drum, to scale: let down at the wall on the left, wound round the arbor on the right. In units of the drum's
 * radius.
 *
 * @param arbor radius of the arbor
 * @param letDown path of the strip let down
 * @param wound path of it wound
 * @param strip thickness of the line
 */
record SpringDrawing(double arbor, String letDown, String wound, double strip) {
    private static final double STEP = Math.toRadians(10);

    static SpringDrawing of(Drum drum, Mainspring spring) {
        double scale = 1 / drum.radius();
        double pitch = spring.thickness() * scale;
        return new SpringDrawing(
                drum.arborRadius() * scale,
                spiral(spring.letDownRadius(drum) * scale, 1 - pitch / 2, pitch, 0),
                spiral(drum.arborRadius() * scale + pitch / 2, spring.woundRadius(drum) * scale, pitch, 2.3),
                pitch * 0.62);
    }

    /** Turn upon turn, each a strip further out. */
    private static String spiral(double from, double to, double pitch, double right) {
        StringBuilder path = new StringBuilder();
        double turns = Math.max(0, (to - from) / pitch);
        int steps = (int) Math.ceil(turns * 2 * Math.PI / STEP);
        for (int i = 0; i <= steps; i++) {
            double angle = Math.min(i * STEP, turns * 2 * Math.PI);
            double radius = from + pitch * angle / (2 * Math.PI);
            path.append(i == 0 ? "M" : "L")
                    .append(String.format(
                            Locale.ROOT, "%.3f %.3f", right + radius * Math.cos(angle), radius * Math.sin(angle)));
        }
        return path.toString();
    }
}
