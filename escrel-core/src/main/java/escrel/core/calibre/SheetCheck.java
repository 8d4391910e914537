package escrel.core.calibre;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Reads a sheet critically and names every fault, not only the first: duplicate codes, references to missing parts,
 * rings of holds, parts outside the plate, a train that does not give the stated beat, jewels that do not add up.
 */
public final class SheetCheck {
    private static final Pattern ID = Pattern.compile("[a-z0-9][a-z0-9-]{0,39}");
    private static final double TRAIN_TOLERANCE_BEATS = 0.5;

    private final CalibreSheet sheet;
    private final List<String> faults = new ArrayList<>();
    private final Set<String> codes = new HashSet<>();

    private SheetCheck(CalibreSheet sheet) {
        this.sheet = sheet;
    }

    /** Every fault as a sentence with the culprit's name and value; empty for a sound sheet. */
    public static List<String> faultsOf(CalibreSheet sheet) {
        SheetCheck check = new SheetCheck(sheet);
        check.faults.addAll(Oversize.of(sheet));
        if (check.faults.isEmpty() && check.sizes()) {
            check.faults.addAll(MissingFields.of(sheet));
            if (check.faults.isEmpty()) {
                check.codes();
                check.references();
                check.rings();
                check.geometry();
                check.counts();
            }
        }
        return List.copyOf(check.faults);
    }

    private boolean sizes() {
        if (sheet.id() == null || !ID.matcher(sheet.id()).matches()) {
            faults.add("The id '" + sheet.id() + "' must be lower-case letters, digits and hyphens, at most 40");
        }
        if (sheet.name() == null || sheet.name().isBlank()) {
            faults.add("The sheet has no name");
        }
        CalibreData data = sheet.data();
        if (data == null || data.setting() == null || data.stud() == null) {
            faults.add("The data (diameter, jewels, setting, stud) are missing or incomplete");
            return false;
        }
        if (!(data.diameterMillimetres() >= 5 && data.diameterMillimetres() <= 120)) {
            faults.add("The diameter must lie between 5 and 120 mm, is " + data.diameterMillimetres());
        }
        Double stated = data.beatsPerHour();
        if (stated != null && !(stated >= 3600 && stated <= 72_000)) {
            faults.add("The beat rate must lie between 3 600 and 72 000 beats per hour, is " + stated);
            return false;
        }
        Double lift = data.liftAngleDegrees();
        if (lift != null && !(lift >= 20 && lift <= 80)) {
            faults.add("The lift angle must lie between 20 and 80 degrees, is " + lift);
        }
        if (sheet.parts().isEmpty()) {
            faults.add("The sheet has no parts");
        }
        return true;
    }

    private void codes() {
        for (Part part : sheet.parts()) {
            if (!codes.add(part.code())) {
                faults.add("The part code '" + part.code() + "' stands twice");
            }
        }
        Set<String> places = new HashSet<>();
        Stream.of(
                        sheet.screws().stream().map(ScrewPlace::code),
                        sheet.oilPoints().stream().map(OilPoint::code),
                        sheet.tests().stream().map(AssemblyTest::code))
                .flatMap(s -> s)
                .filter(code -> !places.add(code))
                .forEach(code -> faults.add("The code '" + code + "' stands twice among screws, oil points and tests"));
    }

    private void references() {
        for (Part part : sheet.parts()) {
            knownIfGiven("The unit of part '" + part.code() + "'", part.unit());
            knownIfGiven("The mate of part '" + part.code() + "'", part.staysWith());
            if (!(part.minutes() >= 0 && part.minutes() <= 240)) {
                faults.add("Part '" + part.code() + "' takes between 0 and 240 minutes, not " + part.minutes());
            }
            if (!part.wash().isOfASheet()) {
                faults.add("Part '" + part.code() + "' is washed in a way that no sheet says: "
                        + part.wash().name().toLowerCase(Locale.ROOT));
            }
        }
        for (ScrewPlace screw : sheet.screws()) {
            if (!(screw.bladeMillimetres() > 0 && screw.bladeMillimetres() <= 6)) {
                faults.add("Screw '%s' wants a blade between 0 and 6 mm, not %s"
                        .formatted(screw.code(), screw.bladeMillimetres()));
            }
        }
        lore();
        sheet.screws().forEach(s -> known("Screw '" + s.code() + "'", s.part()));
        for (Hold hold : sheet.holds()) {
            known("A hold", hold.part());
            known("The hold on '" + hold.part() + "'", hold.by());
        }
        for (EarlyIn early : sheet.earlyIns()) {
            known("An early part", early.part());
            known("The early part '" + early.part() + "'", early.before());
        }
        for (OilPoint point : sheet.oilPoints()) {
            known("Oil point '" + point.code() + "'", point.part());
            inWindow("The window of oil point '" + point.code() + "'", point.after());
            inWindow("The window of oil point '" + point.code() + "'", point.before());
        }
        for (AssemblyTest test : sheet.tests()) {
            inWindow("Test '" + test.code() + "'", test.after());
            inWindow("The window of test '" + test.code() + "'", test.before());
        }
        sheet.jewels().forEach(j -> known("A jewel", j.part()));
        if (sheet.train() != null) {
            sheet.train().mobiles().forEach(m -> known("The train", m.part()));
        }
    }

    private void lore() {
        sheet.lore().weakPoints().forEach(w -> knownIfGiven("A weak point", w.part()));
        sheet.lore().variants().forEach(v -> v.changes().forEach(x -> knownIfGiven("A variant", x.part())));
        sheet.lore().interchange().forEach(i -> {
            String what = "The interchange with " + i.calibre();
            if (i.isOfAll()) {
                i.except().forEach(x -> known(what, x));
            } else {
                known(what, i.part());
            }
        });
        Lore.Limits limits = sheet.lore().targets();
        if (limits != null && !(limits.lowRate() <= limits.highRate() && limits.spread() > 0)) {
            faults.add("The targets are upside down: rate from " + limits.lowRate() + " to " + limits.highRate()
                    + ", spread " + limits.spread());
        }
        for (SidePicture picture : sheet.pictures()) {
            if (!(picture.radius() > 0.05 && picture.radius() <= 1)) {
                faults.add("Picture " + picture.number() + " does not say where the plate lies in it");
            }
        }
    }

    private void rings() {
        RingOfHolds.find(down(sheet))
                .ifPresentOrElse(
                        ring -> faults.add("These parts hold each other in a ring, so none could ever come off: "
                                + String.join(" → ", ring)),
                        () -> RingOfHolds.find(up(sheet))
                                .map(SheetCheck::plain)
                                .ifPresent(ring -> faults.add("On the way up these wait for each other in a ring: "
                                        + String.join(" → ", ring))));
    }

    /** The parts, points or tests round a ring on the way down or on the way up, by their codes; nothing on a sound sheet. */
    public static Optional<List<String>> ringIn(CalibreSheet sheet) {
        return RingOfHolds.find(down(sheet))
                .or(() -> RingOfHolds.find(up(sheet)).map(SheetCheck::plain));
    }

    private static List<RingOfHolds.Edge> down(CalibreSheet sheet) {
        List<RingOfHolds.Edge> edges = new ArrayList<>();
        sheet.holds().stream()
                .filter(h -> h.basis() == Hold.Basis.STATED)
                .forEach(h -> edges.add(new RingOfHolds.Edge(h.by(), h.part())));
        for (Part part : sheet.parts()) {
            String unit = part.unit();
            if (unit != null) {
                edges.add(new RingOfHolds.Edge(unit, part.code()));
            }
        }
        return edges;
    }

    /** Holds reversed, early parts and the windows of points and tests. A point may have the code of a part: it is marked. */
    private static List<RingOfHolds.Edge> up(CalibreSheet sheet) {
        List<RingOfHolds.Edge> edges = new ArrayList<>();
        down(sheet).forEach(e -> edges.add(new RingOfHolds.Edge(e.then(), e.first())));
        sheet.earlyIns().forEach(e -> edges.add(new RingOfHolds.Edge(e.part(), e.before())));
        sheet.oilPoints().forEach(p -> window(edges, "point " + p.code(), p.after(), p.before()));
        sheet.tests().forEach(t -> window(edges, "test " + t.code(), t.after(), t.before()));
        return edges;
    }

    private static List<String> plain(List<String> ring) {
        return ring.stream()
                .map(n -> n.startsWith("point ") || n.startsWith("test ") ? n.substring(n.indexOf(' ') + 1) : n)
                .toList();
    }

    private static void window(
            List<RingOfHolds.Edge> edges, String code, @Nullable String after, @Nullable String before) {
        if (after != null) {
            edges.add(new RingOfHolds.Edge(after, code));
        }
        if (before != null) {
            edges.add(new RingOfHolds.Edge(code, before));
        }
    }

    private void geometry() {
        double radius = sheet.data().diameterMillimetres() / 2;
        for (Part part : sheet.parts()) {
            Shape shape = part.shape();
            if (shape != null && part.group() != Group.CASE && insideExpected(part)) {
                double reach = shape.reachMillimetres();
                if (!(shape.radius() >= 0 && shape.teeth() >= 0) || !Double.isFinite(reach)) {
                    faults.add("Part '" + part.code() + "' has an impossible size: radius " + shape.radius()
                            + ", teeth " + shape.teeth());
                }
                if (!shape.isRound() && shape.points().size() < 2) {
                    faults.add("The outline of part '" + part.code() + "' has fewer than two corners");
                }
                // a tenth of a millimetre for rounding of typed coordinates
                if (reach > radius + 0.1) {
                    faults.add("Part '%s' reaches %.2f mm from the centre, the plate only %.2f mm"
                            .formatted(part.code(), reach, radius));
                }
            }
        }
        for (ScrewPlace screw : sheet.screws()) {
            boolean cased = sheet.part(screw.part())
                    .map(p -> p.group() == Group.CASE || p.group() == Group.DIAL_AND_HANDS)
                    .orElse(true);
            if (!cased && Math.hypot(screw.x(), screw.y()) > radius) {
                faults.add("Screw '" + screw.code() + "' lies outside the plate");
            }
        }
    }

    /** Dial, hands and the stem reach beyond the plate by nature. */
    private static boolean insideExpected(Part part) {
        return part.group() != Group.DIAL_AND_HANDS && part.role() != Role.STEM;
    }

    private void counts() {
        Train train = sheet.train();
        if (train != null) {
            if (train.mobiles().size() < 3
                    || train.mobiles().stream().skip(1).anyMatch(m -> m.pinionLeaves() < 1)
                    || train.mobiles().stream().anyMatch(m -> m.wheelTeeth() < 1)) {
                faults.add("The train needs at least three wheels with teeth, and pinions from the second on");
            } else {
                double beats = train.beatRate().beatsPerHour();
                Double stated = sheet.data().beatsPerHour();
                if (stated != null && Math.abs(beats - stated) > TRAIN_TOLERANCE_BEATS) {
                    faults.add("The train gives %.1f beats per hour, the sheet states %.1f".formatted(beats, stated));
                }
            }
        }
        if (!sheet.jewels().isEmpty() && sheet.jewels().size() != sheet.data().jewels()) {
            faults.add("The sheet lists " + sheet.jewels().size() + " jewels and states "
                    + sheet.data().jewels());
        }
    }

    private void known(String what, @Nullable String code) {
        if (code == null || !codes.contains(code)) {
            faults.add(what + " names the part '" + code + "', which the sheet does not have");
        }
    }

    /** Casing and closing come with whatever case the movement sits in. */
    private void inWindow(String what, @Nullable String code) {
        if (!CalibreSheet.CASED.equals(code) && !CalibreSheet.CLOSED.equals(code)) {
            knownIfGiven(what, code);
        }
    }

    private void knownIfGiven(String what, @Nullable String code) {
        if (code != null) {
            known(what, code);
        }
    }
}
