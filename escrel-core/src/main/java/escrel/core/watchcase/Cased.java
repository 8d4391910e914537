package escrel.core.watchcase;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.Hold;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.ScrewPlace;
import escrel.core.calibre.Side;
import escrel.core.calibre.Trait;
import escrel.core.watchcase.CasePart.Face;
import escrel.core.watchcase.CasePart.Inside;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A movement in its case: the two sheets as one, with what lies between them. The layers of a case hold each other from
 * outside in; what is inside waits for the innermost layer of the face that is opened; the movement leaves the case after
 * its stem and what holds it. A case takes the place of the case parts that older calibre sheets carry themselves.
 * Source: craft 2.4, 2.5, 6.
 */
public final class Cased {
    private static final String INSIDE = "inside the case";
    private static final String UNDER_CRYSTAL = "under the crystal";

    private final CalibreSheet movement;
    private final CaseSheet watchcase;
    private final List<Part> kept = new ArrayList<>();
    private final Map<String, Part> byCode = new HashMap<>();
    private final List<Hold> holds = new ArrayList<>();
    /** What is stated, so that nothing is stated twice. */
    private final Set<String> stated = new HashSet<>();

    private final @Nullable String back;
    private final @Nullable String front;

    private Cased(CalibreSheet movement, CaseSheet watchcase, Set<String> touched) {
        this.movement = movement;
        this.watchcase = watchcase;
        this.back = innermost(Face.BACK);
        this.front = innermost(Face.FRONT);
        for (Part part : movement.parts()) {
            boolean ofCase = CaseSheet.isOfCase(part);
            boolean replaced = part.code().equals(CalibreSheet.CASED)
                    || part.code().equals(CalibreSheet.CLOSED)
                    || watchcase.part(part.code()).isPresent();
            if (!ofCase || !replaced && touched.contains(part.code())) {
                kept.add(part);
                byCode.put(part.code(), part);
            }
        }
    }

    /**
     * The movement in a case.
     *
     * @param movement its sheet; without parts while nothing is known of it
     * @param watchcase the case, with what the job says of it
     * @param touched codes that steps of the job speak of: a part of an older sheet's own case stays where they name it
     */
    public static CalibreSheet of(CalibreSheet movement, CaseSheet watchcase, Set<String> touched) {
        return new Cased(movement, watchcase, touched).joined();
    }

    /** The innermost layer that comes off at a face; nothing where none does. */
    private @Nullable String innermost(Face face) {
        return watchcase.layers(face).stream()
                .filter(p -> !watchcase.staysBesides(p))
                .map(CasePart::code)
                .reduce((a, b) -> b)
                .orElse(null);
    }

    private CalibreSheet joined() {
        List<Part> parts = new ArrayList<>();
        ofFace(Face.BODY, parts);
        if (watchcase.opens() == Opens.FRONT) {
            ofFace(Face.FRONT, parts);
        }
        ofFace(Face.BACK, parts);
        kept.stream().filter(p -> p.group() == Group.CASE).map(this::guarded).forEach(parts::add);
        ofFace(Face.INSIDE, parts);
        parts.add(out());
        if (watchcase.opens() != Opens.FRONT) {
            ofFace(Face.FRONT, parts);
        }
        kept.stream().filter(p -> p.group() != Group.CASE).forEach(parts::add);
        Set<String> there = parts.stream().map(Part::code).collect(Collectors.toSet());

        movement.holds().stream().filter(this::staysTrue).forEach(this::state);
        layers();
        aroundTheMovement();
        movementInside();
        watchcase.holds().forEach(this::state);
        List<Hold> whole = holds.stream()
                .filter(h -> there.contains(h.part()) && there.contains(h.by()))
                .distinct()
                .toList();

        List<ScrewPlace> screws = Stream.concat(
                        movement.screws().stream().filter(s -> byCode.containsKey(s.part())),
                        watchcase.screws().stream().filter(s -> there.contains(s.part())))
                .toList();
        List<String> traps = Stream.concat(watchcase.traps().stream(), movement.traps().stream())
                .toList();
        CasedClimb climb = new CasedClimb(movement, watchcase, back, front, there);
        return movement.with(parts, screws, whole).withRest(climb.points(), climb.tests(), traps);
    }

    private void ofFace(Face face, List<Part> parts) {
        watchcase.layers(face).forEach(p -> parts.add(asPart(p)));
    }

    private Part asPart(CasePart given) {
        Part part = given.part();
        if (given.fitsTwoWays()) {
            String way = part.orientation().isEmpty() ? "note which way it lies" : part.orientation();
            part = part.with(Trait.LIES, "fits two ways: " + way);
        }
        if (watchcase.staysBesides(given)) {
            return part.withRole(Role.STAYS_IN_CASE);
        }
        boolean closes =
                given.face() == Face.BACK && watchcase.layers(Face.BACK).indexOf(given) == 0;
        return closes ? part.withRole(Role.CASE_BACK) : part;
    }

    /** Where the movement leaves the case: an act with a place in the order, like any part. */
    private Part out() {
        Side side = watchcase.opens() == Opens.FRONT ? Side.DIAL : Side.TRAIN;
        CasePart casing = CasePart.of(CasePart.Kind.OTHER, CalibreSheet.CASED, "");
        return casing.part().withName("Case off the movement").withSide(side).withoutAliases();
    }

    /** A screw-down crown is open before its stem is touched: its inner spring makes the stem look loose. Craft 2.4. */
    private Part guarded(Part part) {
        if (Inside.of(part) != Inside.STEM) {
            return part;
        }
        Boolean screwed = watchcase.screwDown();
        if (screwed == null) {
            String note = "Nobody said whether this crown screws down: look before the stem is released.";
            return part.note().contains(note) ? part : part.with(Trait.NOTE, (part.note() + " " + note).strip());
        }
        return screwed && part.stateBefore().isEmpty()
                ? part.with(Trait.STATE_BEFORE, "screw-down crown unscrewed until it stands off its tube")
                : part;
    }

    /** What a calibre's sheet says of its own case is said by the case now; a front opener has nothing in reach from behind. */
    private boolean staysTrue(Hold hold) {
        boolean both = byCode.containsKey(hold.part()) && byCode.containsKey(hold.by());
        boolean stemByMovement = watchcase.opens() == Opens.FRONT && isStem(hold.part());
        return both && !stemByMovement;
    }

    private boolean isStem(String code) {
        return stems().anyMatch(p -> p.code().equals(code));
    }

    private Stream<Part> stems() {
        return kept.stream().filter(p -> Inside.of(p) == Inside.STEM);
    }

    private void layers() {
        for (Face face : List.of(Face.FRONT, Face.BACK)) {
            List<CasePart> off = watchcase.layers(face).stream()
                    .filter(p -> !watchcase.staysBesides(p))
                    .toList();
            for (int i = 1; i < off.size(); i++) {
                add(
                        off.get(i).code(),
                        off.get(i - 1).code(),
                        "beneath " + off.get(i - 1).part().name());
            }
        }
    }

    private void aroundTheMovement() {
        String opening = back == null ? front : back;
        for (CasePart part : watchcase.parts()) {
            if (watchcase.staysBesides(part) || part.face() == Face.FRONT || part.face() == Face.BACK) {
                holdsOf(part);
                continue;
            }
            if (part.holds().isEmpty()) {
                if (part.face() == Face.INSIDE) {
                    add(part.code(), CalibreSheet.CASED, "lies round the movement");
                }
            } else {
                addIf(part.code(), opening, INSIDE);
                holdsOf(part);
                if (part.face() == Face.INSIDE && !part.holds().contains(Inside.STEM)) {
                    // a habit: freed first, the movement hangs on its stem
                    stems().forEach(s ->
                            holds.add(new Hold(part.code(), s.code(), "the stem is out first", Hold.Basis.SEEN)));
                }
            }
        }
        addIf(CalibreSheet.CASED, opening, INSIDE);
        stems().forEach(stem -> {
            addIf(stem.code(), opening, "its release is reached from inside");
            add(CalibreSheet.CASED, stem.code(), "the stem passes through the case");
        });
    }

    private void holdsOf(CasePart part) {
        if (watchcase.staysBesides(part)) {
            return;
        }
        String why = "held by " + part.part().name();
        if (part.holds().contains(Inside.MOVEMENT)) {
            add(CalibreSheet.CASED, part.code(), why);
        }
        if (part.holds().contains(Inside.STEM)) {
            stems().forEach(s -> add(s.code(), part.code(), part.part().name() + " comes out before the stem"));
        }
        if (part.holds().contains(Inside.HANDS)) {
            hands().forEach(h ->
                    add(h.code(), part.code(), "beneath " + part.part().name()));
        }
    }

    private Stream<Part> hands() {
        return kept.stream().filter(p -> Inside.of(p) == Inside.HANDS);
    }

    /** Of each side, what nothing of the movement holds waits for the case to be open; the rest waits for that. */
    private void movementInside() {
        Set<String> heldWithin = new HashSet<>();
        for (Hold hold : holds) {
            boolean among = hold.basis() == Hold.Basis.STATED
                    && sideOf(hold.by()).isPresent()
                    && sideOf(hold.by()).equals(sideOf(hold.part()));
            if (among) {
                heldWithin.add(hold.part());
            }
        }
        for (Part part : kept) {
            boolean first = part.group() != Group.CASE && part.unit() == null && !heldWithin.contains(part.code());
            if (part.role() == Role.DIAL) {
                add(part.code(), CalibreSheet.CASED, INSIDE);
            }
            if (Inside.of(part) == Inside.HANDS) {
                add(part.code(), front == null ? CalibreSheet.CASED : front, UNDER_CRYSTAL);
            } else if (first && part.side() == Side.DIAL) {
                add(part.code(), CalibreSheet.CASED, INSIDE);
            } else if (first && part.side() == Side.TRAIN) {
                add(part.code(), back == null ? CalibreSheet.CASED : back, INSIDE);
            }
        }
    }

    /** Side of a part of the movement; nothing for the case and for what is parted in the hand. */
    private Optional<Side> sideOf(String code) {
        return Optional.ofNullable(byCode.get(code))
                .filter(p -> p.group() != Group.CASE && p.side() != Side.IN_HAND)
                .map(Part::side);
    }

    private void addIf(String part, @Nullable String by, String why) {
        if (by != null) {
            add(part, by, why);
        }
    }

    private void add(String part, String by, String why) {
        boolean known = stated.contains(by + ">" + part);
        if (!part.equals(by) && !known) {
            state(new Hold(part, by, why, Hold.Basis.STATED));
        }
    }

    private void state(Hold hold) {
        holds.add(hold);
        if (hold.basis() == Hold.Basis.STATED) {
            stated.add(hold.by() + ">" + hold.part());
        }
    }
}
