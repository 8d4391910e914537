package escrel.web.plan;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Side;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.HtmlUtils;

/**
 * What can be chosen on a sheet's plan beside its parts: the holes of its screws, and its oil points with the letter of their
 * class. Each mark says what it is by a code that begins with {@link #SCREW} or {@link #OIL}.
 */
public final class SheetMarks {
    /** Begins what a screw's hole is called. */
    public static final String SCREW = "screw:";
    /** Begins what an oil point is called. */
    public static final String OIL = "oil:";

    private static final double MARK = 0.5;

    private SheetMarks() {}

    /**
     * The marks of a side as SVG, to be drawn over the plan of the same sheet.
     *
     * @param gone parts that are leafed away; their marks go with them
     * @param chosen what is chosen, with its beginning; nothing for none
     */
    public static String of(CalibreSheet sheet, Side side, Set<String> gone, @Nullable String chosen) {
        double factor = 2 * PlanDrawing.DRAWN_RADIUS / sheet.data().diameterMillimetres();
        StringBuilder out = new StringBuilder();
        for (ScrewPlace screw : sheet.screws()) {
            boolean here = sheet.part(screw.part())
                    .map(Part::side)
                    .filter(side::equals)
                    .isPresent();
            if (here && !gone.contains(screw.part())) {
                double radius = Math.max(0.3, 0.42 * screw.bladeMillimetres() * factor) + 0.14;
                out.append(
                        "<circle class=\"mark-screw%s\" cx=\"%s\" cy=\"%s\" r=\"%s\" data-part=\"%s\"><title>%s</title></circle>"
                                .formatted(
                                        chosen(SCREW + screw.code(), chosen),
                                        Paths.n(PlanDrawing.flip(screw.x() * factor, side)),
                                        Paths.n(-screw.y() * factor),
                                        Paths.n(radius),
                                        safe(SCREW + screw.code()),
                                        safe("screw " + screw.code())));
            }
        }
        for (OilPoint point : sheet.oilPoints()) {
            if (point.side() == side && !gone.contains(point.part())) {
                String x = Paths.n(PlanDrawing.flip(point.x() * factor, side) + 0.35);
                String y = Paths.n(-point.y() * factor - 0.35);
                out.append(
                        "<g class=\"mark-oil%s\" data-part=\"%s\"><circle cx=\"%s\" cy=\"%s\" r=\"%s\"><title>%s</title></circle>"
                                .formatted(
                                        chosen(OIL + point.code(), chosen),
                                        safe(OIL + point.code()),
                                        x,
                                        y,
                                        Paths.n(MARK),
                                        safe(point.name())));
                out.append("<text x=\"%s\" y=\"%s\" text-anchor=\"middle\" font-size=\"0.72\">%s</text></g>"
                        .formatted(
                                x,
                                Paths.n(-point.y() * factor - 0.1),
                                point.lubricant().letter()));
            }
        }
        return out.toString();
    }

    private static String chosen(String code, @Nullable String chosen) {
        return code.equals(chosen) ? " s-selected" : "";
    }

    private static String safe(String words) {
        return HtmlUtils.htmlEscape(words);
    }
}
