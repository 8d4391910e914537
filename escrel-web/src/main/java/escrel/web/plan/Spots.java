package escrel.web.plan;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Side;
import escrel.core.parts.PlacesOfPart;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntFunction;

/** Places of a part on its plan, each with the key that chooses it, so that key and pointer mean the same. */
public final class Spots {
    /**
     * A place, in the units of the drawing.
     *
     * @param key that chooses it too
     * @param address of what follows when it is chosen; empty where it is only shown
     */
    public record Spot(String key, String words, double x, double y, String address) {}

    private Spots() {}

    /**
     * Where a mark goes that would lie on another: beside it.
     *
     * @param others marks that lie there already
     * @param at where it belongs
     * @param apart how far marks have to be from each other, in the units of the drawing
     */
    public static PlanDrawing.Point beside(List<PlanDrawing.Point> others, PlanDrawing.Point at, double apart) {
        double x = at.x();
        while (isTaken(others, x, at.y(), apart)) {
            x += apart;
        }
        return new PlanDrawing.Point(x, at.y(), at.style());
    }

    private static boolean isTaken(List<PlanDrawing.Point> others, double x, double y, double apart) {
        return others.stream().anyMatch(o -> Math.abs(o.x() - x) < apart && Math.abs(o.y() - y) < apart);
    }

    /**
     * The places that lie on one side.
     *
     * @param places as they are numbered, from key 1 on
     * @param first number of the first
     * @param address of what follows, by the index of the place
     */
    public static List<Spot> of(
            CalibreSheet sheet, Side side, List<PlacesOfPart.Known> places, int first, IntFunction<String> address) {
        double factor = 2 * PlanDrawing.DRAWN_RADIUS / sheet.data().diameterMillimetres();
        List<Spot> spots = new ArrayList<>();
        for (int i = 0; i < places.size(); i++) {
            PlacesOfPart.Known known = places.get(i);
            if (known.side() == side) {
                spots.add(new Spot(
                        String.valueOf((first + i) % 10),
                        known.place().words(),
                        PlanDrawing.flip(known.x() * factor, side),
                        -known.y() * factor,
                        address.apply(i)));
            }
        }
        return spots;
    }
}
