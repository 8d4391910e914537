package escrel.web.plan;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Side;
import escrel.core.calibre.SidePicture;
import org.jspecify.annotations.Nullable;

/**
 * A photograph in the place of the plan, in the units of the drawing.
 *
 * @param address where the picture is got
 * @param left of the picture
 * @param top of the picture
 * @param width of the picture; its height follows
 */
public record PhotoPlan(String address, double left, double top, double width) {
    /**
     * The latest photograph of a side; nothing where there is none.
     *
     * @param job number of the job the photograph may belong to
     * @param bound the sheet the job is bound to, whose pictures lie with the calibre
     * @param sheet that has the pictures
     */
    public static @Nullable PhotoPlan of(int job, @Nullable CalibreSheet bound, CalibreSheet sheet, Side side) {
        return sheet.pictures().stream()
                .filter(p -> p.side() == side)
                .reduce((a, b) -> b)
                .map(p -> {
                    double width = PlanDrawing.DRAWN_RADIUS / p.radius();
                    return new PhotoPlan(address(job, bound, p), -p.centreX() * width, -p.centreY() * width, width);
                })
                .orElse(null);
    }

    private static String address(int job, @Nullable CalibreSheet bound, SidePicture picture) {
        return bound != null && bound.pictures().contains(picture)
                ? "/calibres/" + bound.id() + "/pictures/" + picture.number()
                : "/jobs/" + job + "/photos/" + picture.number();
    }
}
