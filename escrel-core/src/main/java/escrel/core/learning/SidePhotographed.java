package escrel.core.learning;

import escrel.core.calibre.Side;
import escrel.core.service.Step;

/**
 * A photograph of the job serves as the plan of a side; the latest of a side lies on top.
 *
 * @param photo number of the stored picture within the job
 * @param centreX of the plate, as a fraction of the picture's width from its left edge
 * @param centreY of the plate, as a fraction of the picture's width from its top edge
 * @param radius of the plate, as a fraction of the picture's width; above 0.05, at most 1
 */
public record SidePhotographed(int photo, Side side, double centreX, double centreY, double radius) implements Step {
    public SidePhotographed {
        if (!(radius > 0.05 && radius <= 1 && centreX >= 0 && centreX <= 1 && centreY >= 0 && centreY <= 2)) {
            throw new IllegalArgumentException(
                    "the plate does not lie in the picture: centre " + centreX + ", " + centreY + ", radius " + radius);
        }
    }
}
