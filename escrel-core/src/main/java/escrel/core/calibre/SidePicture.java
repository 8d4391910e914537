package escrel.core.calibre;

/**
 * A photograph that takes the plan's place, or stands behind it, with where the plate lies in it.
 *
 * @param number of the stored picture within the calibre (or, while a calibre is learnt, within the job)
 * @param side which side lies up
 * @param caption how far the movement was stripped, in words; may be empty
 * @param centreX of the plate, as a fraction of the picture's width from its left edge
 * @param centreY of the plate, as a fraction of the picture's width from its top edge
 * @param radius of the plate, as a fraction of the picture's width
 */
public record SidePicture(int number, Side side, String caption, double centreX, double centreY, double radius) {
    public SidePicture {
        caption = Copies.text(caption);
    }

    /**
     * Where a place on the movement lies in the picture, as fractions of its width from left and top.
     *
     * @param x millimetres from the centre, towards 3, seen from the dial
     * @param y millimetres from the centre, towards 12
     * @param plateRadius millimetres
     */
    public double[] inPicture(double x, double y, double plateRadius) {
        double seen = side == Side.TRAIN ? -x : x;
        return new double[] {centreX + seen / plateRadius * radius, centreY - y / plateRadius * radius};
    }

    /** The reverse of {@link #inPicture}: millimetres from the centre, seen from the dial. */
    public double[] onMovement(double fromLeft, double fromTop, double plateRadius) {
        double seen = (fromLeft - centreX) / radius * plateRadius;
        return new double[] {side == Side.TRAIN ? -seen : seen, (centreY - fromTop) / radius * plateRadius};
    }
}
