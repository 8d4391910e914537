package escrel.core.decision;

import static escrel.core.parts.Decision.ADJUST;
import static escrel.core.parts.Decision.CLEAN_AND_REUSE;
import static escrel.core.parts.Decision.INTERIM;
import static escrel.core.parts.Decision.LEAVE_BY_AGREEMENT;
import static escrel.core.parts.Decision.MAKE;
import static escrel.core.parts.Decision.REPAIR;
import static escrel.core.parts.Decision.REPLACE_DONOR;
import static escrel.core.parts.Decision.REPLACE_NEW;
import static escrel.core.parts.Decision.REUSE_ON_CONDITION;
import static escrel.core.parts.Decision.SEND_OUT;

import escrel.core.calibre.Group;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.condition.Place;
import escrel.core.decision.Way.Reason;
import escrel.core.parts.Decision;
import escrel.core.parts.Finding;
import escrel.core.school.Choice;
import escrel.core.school.School;
import escrel.core.service.Stance;
import escrel.core.service.StepKind;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** What speaks for and against each way of dealing with a finding, rule by rule; what each weighs is ours. */
final class Reasons {
    /** Defects that are called by the words one says; "set" and "dry" mean too much else. */
    private static final List<Defect> TOLD = List.of(
            Defect.CRACKED,
            Defect.CHIPPED,
            Defect.BROKEN,
            Defect.RUSTED,
            Defect.CORRODED,
            Defect.BENT,
            Defect.SCORED,
            Defect.WORN,
            Defect.MAGNETISED,
            Defect.LOOSE);

    private final Known known;
    private final Finding finding;
    private final Defect defect;
    private final Map<Decision, List<Reason>> reasons = new EnumMap<>(Decision.class);

    private Reasons(Known known) {
        this.known = known;
        this.finding = known.finding();
        this.defect = defectOf(finding);
    }

    static Reasons of(Known known) {
        Reasons reasons = new Reasons(known);
        reasons.byDefect();
        reasons.byPart();
        reasons.byStance();
        reasons.bySchool();
        reasons.byWhatThereIs();
        reasons.byGrade();
        return reasons;
    }

    /** The ways of which anything is said. */
    Set<Decision> decisions() {
        return Set.copyOf(reasons.keySet());
    }

    boolean has(Decision decision) {
        return reasons.containsKey(decision);
    }

    List<Reason> of(Decision decision) {
        return List.copyOf(reasons.getOrDefault(decision, List.of()));
    }

    void say(Decision decision, int weight, String words) {
        reasons.computeIfAbsent(decision, d -> new ArrayList<>()).add(new Reason(weight, words));
    }

    private void byDefect() {
        Place place = finding.place();
        Place.Kind at = place == null ? null : place.kind();
        switch (defect) {
            case DIRTY, DRY, GUMMED -> say(CLEAN_AND_REUSE, 4, "it goes in the wash, and is judged again clean");
            case MAGNETISED -> say(ADJUST, 4, "it can be demagnetised");
            case LOOSE, OVER_TIGHT -> say(ADJUST, 3, "it can be set right");
            case BENT -> say(ADJUST, 2, "it may be straightened");
            case SET -> say(REPLACE_NEW, 5, "a set spring stays weak: the amplitude would stay low");
            case WRONG_PART, ALTERED -> {
                say(REPLACE_NEW, 3, "what sits there does not belong there");
                say(REPLACE_DONOR, 2, "what sits there does not belong there");
            }
            case OUT_OF_ROUND -> say(REPAIR, 4, "a worn hole is bushed");
            case WORN -> {
                if (at == Place.Kind.HOLE) {
                    say(REPAIR, 4, "a worn hole is bushed");
                } else {
                    another(2, "wear does not go away");
                }
            }
            case SCORED, RUSTED, CORRODED -> {
                if (at == Place.Kind.PIVOT) {
                    say(ADJUST, 4, "a pivot is burnished bright where enough of it is left");
                } else {
                    say(ADJUST, 2, "what is only on the surface can be taken off");
                    another(1, "what goes deep stays");
                }
            }
            case CRACKED, CHIPPED, BROKEN -> {
                if (at == Place.Kind.JEWEL) {
                    say(REPLACE_NEW, 5, "the jewel is replaced, its bridge stays the original");
                } else if (at == Place.Kind.STONE) {
                    say(REPLACE_NEW, 3, "a stone is replaced and set anew");
                    say(SEND_OUT, 1, "setting stones can be sent out");
                } else {
                    another(3, "it cannot be made whole");
                }
            }
            case ABSENT -> another(3, "its home is empty");
            default -> {
                say(REPAIR, 1, "it may be mended");
                another(1, "what is bad can be replaced");
            }
        }
    }

    /** As it was chosen; of a part marked bad as it came off, what its words say. */
    private static Defect defectOf(Finding finding) {
        if (finding.defect() != Defect.OTHER) {
            return finding.defect();
        }
        String words = finding.words().toLowerCase(Locale.ROOT);
        return TOLD.stream()
                .filter(d -> words.matches(".*\\b" + StepKind.said(d) + "\\b.*"))
                .findFirst()
                .orElse(Defect.OTHER);
    }

    /** Another one takes its place. */
    private void another(int weight, String words) {
        say(REPLACE_NEW, weight, words);
        if (!finding.isWithinPart()) {
            say(REPLACE_DONOR, weight, words);
            Part part = known.part();
            if (part != null && part.group() == Group.TRAIN && part.role() == null) {
                say(SEND_OUT, 1, "a wheel can be cut");
            }
        }
    }

    private void byPart() {
        if (known.isCalled("seal", "gasket")) {
            say(REPLACE_NEW, 5, "seals are always replaced");
        }
        if (known.isCalled("crystal") && defect != Defect.DIRTY) {
            say(REPLACE_NEW, 2, "a crystal is usually replaced");
        }
        Part part = known.part();
        if (part != null && part.role() == Role.STEM && isRusted()) {
            say(REPLACE_NEW, 3, "a rusted stem is usually replaced");
        }
    }

    private boolean isRusted() {
        return switch (defect) {
            case RUSTED, CORRODED -> true;
            default -> false;
        };
    }

    private void byStance() {
        if (!known.isSeen()) {
            return;
        }
        boolean works = finding.grade() != Grade.BROKEN && finding.grade() != Grade.MISSING;
        if (known.stance() == Stance.CONSERVE) {
            if (works) {
                say(LEAVE_BY_AGREEMENT, 4, "conserve was agreed: marks of age stay");
            }
            say(REPLACE_NEW, -3, "conserve was agreed: what is original stays");
            say(REPLACE_DONOR, -2, "conserve was agreed: what is original stays");
        } else if (known.stance() == Stance.RENEW) {
            say(SEND_OUT, 3, "renew was agreed: it may be made as new");
        } else if (works) {
            say(LEAVE_BY_AGREEMENT, 2, "sympathetic was agreed: it may show its age");
            say(CLEAN_AND_REUSE, 1, "sympathetic was agreed: sound, and no newer than it is");
        }
    }

    private void bySchool() {
        Part part = known.part();
        if (part == null) {
            return;
        }
        if (part.role() == Role.MAINSPRING
                && known.schools()
                        .of(School.OLD_MAINSPRING)
                        .filter(c -> c == Choice.ALWAYS_REPLACE)
                        .isPresent()) {
            say(REPLACE_NEW, 3, "your school: always replace it");
        }
        boolean spring = known.isCalled("hairspring")
                || finding.words().toLowerCase(Locale.ROOT).contains("hairspring");
        if (spring) {
            boolean donor = known.schools()
                    .of(School.HAIRSPRING_DAMAGE)
                    .filter(c -> c == Choice.REPLACE_HAIRSPRING)
                    .isPresent();
            boolean hand = known.schools()
                    .of(School.HAIRSPRING_DAMAGE)
                    .filter(c -> c == Choice.CORRECT_HAIRSPRING)
                    .isPresent();
            if (donor) {
                say(REPLACE_DONOR, 4, "your school: a damaged hairspring comes from a donor");
            } else if (hand) {
                say(ADJUST, 4, "your school: a damaged hairspring is corrected by hand");
            }
        }
    }

    private void byWhatThereIs() {
        if (!finding.isWithinPart()) {
            if (!known.donors().isEmpty()) {
                say(REPLACE_DONOR, 2, "“" + known.donors().get(0) + "” still has it");
            } else {
                say(REPLACE_DONOR, -4, "no donor here has it");
            }
        }
        known.drawers().stream().findFirst().ifPresent(d -> say(REPLACE_NEW, 2, "in the drawer: " + d));
        Known.Bought bought = known.bought();
        if (bought != null && !bought.source().isBlank()) {
            say(REPLACE_NEW, 1, "got last from " + bought.source());
        }
        if (known.replaced() > 0 && known.services() > 1) {
            String often = "replaced in " + known.replaced() + " of " + known.services() + " here";
            say(REPLACE_NEW, 2 * known.replaced() >= known.services() ? 2 : 1, often);
        }
    }

    private void byGrade() {
        if (finding.origin() == Origin.THIS_SERVICE) {
            say(LEAVE_BY_AGREEMENT, -4, "it happened in this service");
        }
        if (finding.grade() == Grade.MEND && !finding.isWithinPart() && has(REPLACE_NEW)) {
            say(INTERIM, 1, "it can go back until another comes");
            say(REUSE_ON_CONDITION, 1, "it may do, if somebody remembers what to watch for");
        }
        if (finding.grade() == Grade.BROKEN) {
            say(CLEAN_AND_REUSE, -5, "it is broken");
            say(LEAVE_BY_AGREEMENT, -2, "it is broken");
        }
        if (finding.grade() == Grade.MISSING) {
            say(CLEAN_AND_REUSE, -5, "it is not there");
            say(ADJUST, -5, "it is not there");
        }
        boolean nothingElse = known.donors().isEmpty() && known.bought() == null;
        if (nothingElse && !finding.isWithinPart() && has(REPLACE_NEW)) {
            say(MAKE, 1, "where none is to be had, it is made");
        }
    }
}
