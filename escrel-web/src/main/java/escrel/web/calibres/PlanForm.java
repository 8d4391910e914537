package escrel.web.calibres;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Hold;
import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Side;
import escrel.core.calibre.Trait;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What is said on the plan of one thing on it: a part, a screw's hole or an oil point. Empty fields take away; those of other
 * kinds are left aside.
 *
 * @param code of what is changed
 * @param traits what is so of a part, of those that are yes or no
 * @param heldBy a part that holds it, to be stated; empty for none
 * @param why it does
 * @param free parts that hold it no longer
 */
record PlanForm(
        String code,
        @Nullable String name,
        @Nullable String lies,
        @Nullable String liftFrom,
        @Nullable String clip,
        @Nullable String stateBefore,
        @Nullable String note,
        @Nullable List<Trait> traits,
        @Nullable String heldBy,
        @Nullable String why,
        @Nullable List<String> free,
        ScrewPlace.@Nullable LengthClass length,
        ScrewPlace.@Nullable Head head,
        ScrewPlace.@Nullable Thread thread,
        ScrewPlace.@Nullable Home home,
        ScrewPlace.@Nullable Finish finish,
        @Nullable Double blade,
        @Nullable LubricantClass lubricant,
        @Nullable String amount,
        @Nullable Double x,
        @Nullable Double y) {
    /** Of a screw nobody measured beside its others, mm. Ours. */
    private static final double USUAL_BLADE = 1.2;

    /** Yes or no of a part. */
    static final List<Trait> MARKS =
            List.of(Trait.FLIES, Trait.FRAGILE, Trait.LONG_PIVOT, Trait.FRICTION_FIT, Trait.COATED);

    /** The sheet with a part as said here. */
    CalibreSheet part(CalibreSheet sheet) {
        List<Part> parts = sheet.parts().stream()
                .map(p -> p.code().equals(code) ? said(p) : p)
                .toList();
        List<Hold> holds = new ArrayList<>(sheet.holds());
        holds.removeIf(h -> h.part().equals(code) && free != null && free.contains(h.by()));
        if (heldBy != null && !heldBy.isBlank()) {
            holds.add(new Hold(code, heldBy, text(why), Hold.Basis.STATED));
        }
        return sheet.with(parts, sheet.screws(), holds);
    }

    private Part said(Part part) {
        Part now = text(name).isEmpty() || part.name().equals(text(name)) ? part : part.withName(text(name));
        now = now.with(Trait.LIES, text(lies))
                .with(Trait.LIFTS_FROM, text(liftFrom))
                .with(Trait.CLIP, text(clip))
                .with(Trait.STATE_BEFORE, text(stateBefore))
                .with(Trait.NOTE, text(note));
        for (Trait mark : MARKS) {
            boolean yes = traits != null && traits.contains(mark);
            if (yes == mark.of(now).isEmpty()) {
                now = now.with(mark, yes ? Trait.YES : "");
            }
        }
        return now;
    }

    /** The sheet with a screw's hole as said here. */
    CalibreSheet screw(CalibreSheet sheet) {
        List<ScrewPlace> screws = sheet.screws().stream()
                .map(s -> s.code().equals(code)
                        ? new ScrewPlace(
                                s.code(),
                                s.part(),
                                x == null ? s.x() : x,
                                y == null ? s.y() : y,
                                length == null ? s.length() : length,
                                head == null ? s.head() : head,
                                thread == null ? s.thread() : thread,
                                blade == null ? s.bladeMillimetres() : blade,
                                home == null ? s.home() : home,
                                text(note),
                                finish)
                        : s)
                .toList();
        return sheet.with(sheet.parts(), screws, sheet.holds());
    }

    /**
     * The sheet with a new oil point at the place pointed at.
     *
     * @param newCode of the point; {@link #code} is its part
     */
    CalibreSheet newOil(CalibreSheet sheet, Side side, String newCode) {
        Part part = sheet.requirePart(code);
        LubricantClass of = lubricant == null ? LubricantClass.FINE_OIL : lubricant;
        List<OilPoint> points = new ArrayList<>(sheet.oilPoints());
        points.add(new OilPoint(
                newCode, part.name(), code, side, of, of.usualAmount(), code, null, number(x), number(y), ""));
        return sheet.withClimb(points, sheet.tests());
    }

    /** The sheet with a further screw of a part at the place pointed at, right-hand, flat, of the size of its others. */
    CalibreSheet newScrew(CalibreSheet sheet, String newCode) {
        List<ScrewPlace> screws = new ArrayList<>(sheet.screws());
        double like = sheet.screwsOf(code).stream()
                .mapToDouble(ScrewPlace::bladeMillimetres)
                .findFirst()
                .orElse(USUAL_BLADE);
        screws.add(new ScrewPlace(
                newCode,
                code,
                number(x),
                number(y),
                length == null ? ScrewPlace.LengthClass.SHORT : length,
                ScrewPlace.Head.FLAT,
                ScrewPlace.Thread.RIGHT,
                like,
                ScrewPlace.Home.ANY_OF_ITS_KIND,
                "",
                null));
        return sheet.with(sheet.parts(), screws, sheet.holds());
    }

    private static double number(@Nullable Double given) {
        return given == null ? 0 : Math.round(given * 1000) / 1000.0;
    }

    /** The sheet with an oil point as said here. */
    CalibreSheet oil(CalibreSheet sheet) {
        List<OilPoint> points = sheet.oilPoints().stream()
                .map(p -> p.code().equals(code)
                        ? new OilPoint(
                                p.code(),
                                text(name).isEmpty() ? p.name() : text(name),
                                p.part(),
                                p.side(),
                                lubricant == null ? p.lubricant() : lubricant,
                                text(amount),
                                p.after(),
                                p.before(),
                                x == null ? p.x() : x,
                                y == null ? p.y() : y,
                                text(note))
                        : p)
                .toList();
        return sheet.withClimb(points, sheet.tests());
    }

    private static String text(@Nullable String words) {
        return words == null ? "" : words.strip();
    }
}
