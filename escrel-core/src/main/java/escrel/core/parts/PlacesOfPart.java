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
import java.util.stream.Stream;

/**
 * Places of a part that its sheet knows by where they lie: its own jewels, and those it carries for what lies under it.
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

    /**
     * The places of the main plate, which is no part of a sheet since it never comes off: the hole jewels that no bridge or cock on
     * their side carries.
     */
    public static List<Known> ofThePlate(CalibreSheet sheet) {
        return sheet.jewels().stream()
                .filter(j -> j.kind() == Jewel.Kind.HOLE && !isCarried(sheet, j))
                .map(j -> new Known(
                        new Place(Place.Kind.JEWEL, sheet.requirePart(j.part()).name()), j.side(), j.x(), j.y()))
                .toList();
    }

    /** Whether the part it belongs to, or one that holds that down, lies on the side of the jewel and holds something. */
    private static boolean isCarried(CalibreSheet sheet, Jewel jewel) {
        return Stream.concat(
                        Stream.of(jewel.part()),
                        sheet.holdsOn(jewel.part()).stream().map(Hold::by))
                .flatMap(code -> sheet.part(code).stream())
                .anyMatch(
                        p -> p.side() == jewel.side() && !sheet.heldBy(p.code()).isEmpty());
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
