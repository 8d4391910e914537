package escrel.core.watchcase;

import escrel.core.calibre.CalibreData;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.SheetCheck;
import escrel.core.calibre.Side;
import escrel.core.watchcase.CasePart.Face;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;

/** Reads a case sheet critically and names every fault: it may come from a file. */
public final class CaseCheck {
    private static final Pattern ID = Pattern.compile("[a-z0-9][a-z0-9-]{0,39}");
    private static final int MOST_PARTS = 60;
    private static final int MOST_CROWNS = 8;
    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_TEXT = 400;
    private static final double WIDEST_MILLIMETRES = 120;

    private final CaseSheet sheet;
    private final List<String> faults = new ArrayList<>();

    private CaseCheck(CaseSheet sheet) {
        this.sheet = sheet;
    }

    /** Every fault as a sentence; empty for a sound sheet. */
    public static List<String> faultsOf(CaseSheet sheet) {
        CaseCheck check = new CaseCheck(sheet);
        if (check.frame()) {
            check.parts();
            check.references();
            if (check.faults.isEmpty()) {
                check.joined();
            }
        }
        return List.copyOf(check.faults);
    }

    private boolean frame() {
        if (sheet.id() == null
                || !ID.matcher(sheet.id()).matches()
                || sheet.id().equals(CaseSheet.PLAIN)) {
            faults.add(
                    "The id '" + sheet.id() + "' must be lower-case letters, digits and hyphens, at most 40, and not '"
                            + CaseSheet.PLAIN + "'");
        }
        if (sheet.reference().isBlank()) {
            faults.add("The case has no reference");
        }
        if (sheet.maker().length() > LONGEST_NAME || sheet.reference().length() > LONGEST_NAME) {
            faults.add("Maker and reference have at most " + LONGEST_NAME + " characters each");
        }
        if (sheet.parts().size() > MOST_PARTS
                || sheet.screws().size() > MOST_PARTS
                || sheet.holds().size() > MOST_PARTS) {
            faults.add("A case has at most " + MOST_PARTS + " parts, screws and holds");
        }
        if (sheet.crowns().size() > MOST_CROWNS || sheet.traps().size() > MOST_PARTS) {
            faults.add("A case has at most " + MOST_CROWNS + " crowns and " + MOST_PARTS + " traps");
        }
        if (sheet.traps().stream().anyMatch(t -> t.length() > LONGEST_TEXT)) {
            faults.add("A trap is a sentence of at most " + LONGEST_TEXT + " characters");
        }
        return faults.isEmpty();
    }

    private void parts() {
        Set<String> codes = new HashSet<>();
        for (CasePart each : sheet.parts()) {
            Part part = each.part();
            if (part == null
                    || part.code() == null
                    || part.name() == null
                    || part.side() == null
                    || each.kind() == null
                    || each.face() == null) {
                faults.add("A part lacks code, name, side, kind or face");
                continue;
            }
            if (part.group() != Group.CASE || part.unit() != null) {
                faults.add("Part '" + part.code() + "' must be of the group CASE and of no unit");
            }
            if (part.code().equals(CalibreSheet.CASED) || !codes.add(part.code())) {
                faults.add("The part code '" + part.code() + "' stands twice");
            }
            if (!measured(each.diameterMillimetres()) || !measured(each.heightMillimetres())) {
                faults.add("Part '%s' has sizes between 0 and %.0f mm, not %s and %s"
                        .formatted(
                                part.code(), WIDEST_MILLIMETRES, each.diameterMillimetres(), each.heightMillimetres()));
            }
            if (each.fit().length() > LONGEST_TEXT) {
                faults.add("The fit of part '" + part.code() + "' has at most " + LONGEST_TEXT + " characters");
            }
        }
        boolean nothingAtTheFront = sheet.parts().stream().noneMatch(p -> p.face() == Face.FRONT);
        if (faults.isEmpty() && sheet.opens() == Opens.FRONT && nothingAtTheFront) {
            faults.add("The case opens at the front only, and no part of it lies there");
        }
    }

    private static boolean measured(double millimetres) {
        return millimetres >= 0 && millimetres <= WIDEST_MILLIMETRES;
    }

    private void references() {
        for (ScrewPlace screw : sheet.screws()) {
            known("Screw '" + screw.code() + "'", screw.part());
        }
        for (Hold hold : sheet.holds()) {
            known("A hold", hold.part());
            known("The hold on '" + hold.part() + "'", hold.by());
        }
    }

    private void known(String what, String code) {
        if (!CalibreSheet.CASED.equals(code)
                && (code == null || sheet.part(code).isEmpty())) {
            faults.add(what + " names the part '" + code + "', which the case does not have");
        }
    }

    /** With a movement in it that has a stem, hands and a dial, everything can come off and go on. */
    private void joined() {
        faults.addAll(SheetCheck.faultsOf(Cased.of(anyMovement(), sheet, Set.of())));
    }

    /** A movement of which nothing is known but what every movement has. */
    static CalibreSheet anyMovement() {
        CalibreData data =
                new CalibreData(25, null, null, 0, CalibreData.Setting.NOT_SAID, CalibreData.Stud.NOT_SAID, null, "");
        List<Part> parts = List.of(
                Part.of("any-stem", "Stem", Group.CASE, Side.TRAIN).withRole(Role.STEM),
                Part.of("any-hands", "Hands", Group.DIAL_AND_HANDS, Side.DIAL).withRole(Role.HANDS),
                Part.of("any-dial", "Dial", Group.DIAL_AND_HANDS, Side.DIAL).withRole(Role.DIAL));
        List<Hold> holds = List.of(new Hold("any-dial", "any-hands", "above it", Hold.Basis.STATED));
        return new CalibreSheet(
                "any", "any", data, null, parts, List.of(), holds, List.of(), List.of(), List.of(), List.of(), null,
                List.of());
    }

    /**
     * In which order a case gives up a movement, whatever it is: its parts, stem, hands and dial, and where the movement
     * comes out.
     *
     * @param sheet a sound one
     */
    public static List<Part> order(CaseSheet sheet) {
        CalibreSheet joined = Cased.of(anyMovement(), sheet, Set.of());
        List<Part> left = new ArrayList<>(joined.parts());
        left.removeIf(p -> p.role() == Role.STAYS_IN_CASE);
        List<Part> order = new ArrayList<>();
        while (!left.isEmpty()) {
            Part next = left.stream()
                    .filter(p -> joined.holdsOn(p.code()).stream()
                            .noneMatch(h -> left.stream().anyMatch(q -> q.code().equals(h.by()))))
                    .findFirst()
                    .orElseThrow(() -> new IllegalArgumentException("a ring of holds in the case " + sheet.id()));
            order.add(next);
            left.remove(next);
        }
        return List.copyOf(order);
    }
}
