package escrel.web.plan;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Side;
import escrel.core.calibre.SidePicture;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A photograph in the place of the plan, in the units of the drawing.
 *
 * @param address where the picture is got
 * @param left of the picture
 * @param top of the picture
 * @param width of the picture; its height follows
 * @param layer which of the pictures of the side it is, the first taken is 1
 * @param layers how many pictures of the side there are
 */
public record PhotoPlan(String address, double left, double top, double width, int layer, int layers) {
    /**
     * A photograph of a side; nothing where there is none.
     *
     * @param job number of the job the photograph may belong to
     * @param bound the sheet the job is bound to, whose pictures lie with the calibre
     * @param sheet that has the pictures
     * @param layer which of them, from 1; the nearest there is
     */
    public static @Nullable PhotoPlan of(
            int job, @Nullable CalibreSheet bound, CalibreSheet sheet, Side side, int layer) {
        List<SidePicture> all = ofSide(sheet, side);
        if (all.isEmpty()) {
            return null;
        }
        int at = Math.max(1, Math.min(layer, all.size()));
        SidePicture picture = all.get(at - 1);
        double width = PlanDrawing.DRAWN_RADIUS / picture.radius();
        return new PhotoPlan(
                address(job, bound, picture),
                -picture.centreX() * width,
                -picture.centreY() * width,
                width,
                at,
                all.size());
    }

    /** The pictures of a side, the first taken first. */
    public static List<SidePicture> ofSide(CalibreSheet sheet, Side side) {
        return sheet.pictures().stream().filter(p -> p.side() == side).toList();
    }

    private static String address(int job, @Nullable CalibreSheet bound, SidePicture picture) {
        return bound != null && bound.pictures().contains(picture)
                ? "/calibres/" + bound.id() + "/pictures/" + picture.number()
                : "/jobs/" + job + "/photos/" + picture.number();
    }
}
