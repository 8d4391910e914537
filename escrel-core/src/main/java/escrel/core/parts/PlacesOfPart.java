package escrel.core.parts;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Jewel;
import escrel.core.calibre.Part;
import escrel.core.calibre.Side;
import escrel.core.condition.Place;
import escrel.core.service.StepKind;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Places of a part that its sheet knows by where they lie: its own jewels, and those it carries for what lies under it. Of
 * the main plate they are all the jewels no bridge carries.
 */
public final class PlacesOfPart {
    /**
     * A place the sheet knows.
     *
     * @param x millimetres from the centre, towards 3
     * @param y millimetres from the centre, towards 12
     */
    public record Known(Place place, Side side, double x, double y) {}

    private PlacesOfPart() {}

    /** The places of a part, in the order of the sheet; none of a part nobody knows. */
    public static List<Known> of(CalibreSheet sheet, Part part) {
        Set<String> under = sheet.heldBy(part.code()).stream().map(Hold::part).collect(Collectors.toSet());
        return sheet.jewels().stream()
                .filter(j -> j.part().equals(part.code()) || under.contains(j.part()) && j.side() == part.side())
                .map(j -> new Known(new Place(Place.Kind.JEWEL, name(sheet, j, part)), j.side(), j.x(), j.y()))
                .toList();
    }

    private static String name(CalibreSheet sheet, Jewel jewel, Part part) {
        String kind = jewel.kind() == Jewel.Kind.HOLE ? "" : " " + StepKind.said(jewel.kind());
        boolean own = jewel.part().equals(part.code());
        String of = own
                ? StepKind.said(jewel.side()) + " side"
                : sheet.requirePart(jewel.part()).name();
        return of + kind;
    }
}
