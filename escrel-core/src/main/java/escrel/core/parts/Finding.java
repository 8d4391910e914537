package escrel.core.parts;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.condition.Place;
import escrel.core.service.RecordedStep;
import escrel.core.service.ScrewsFound;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A finding with the decision that stands, and whether that was carried out.
 *
 * @param key names it within the job; stays the same for good
 * @param at when it was recorded
 * @param raisedAt sequence of the step that raised it
 * @param part code on the sheet; nothing for the watch, or with a place for the main plate, which never comes off
 * @param place within the part; nothing for the part as a whole
 * @param screw what it says of a screw of the part; nothing when it is about the part itself
 * @param decided the last decision, or nothing
 * @param decidedAt sequence of that decision, 0 without one
 * @param wanting what is still wanting, in words; nothing when it is settled
 */
public record Finding(
        String key,
        Instant at,
        int raisedAt,
        @Nullable String part,
        @Nullable Place place,
        ScrewsFound.@Nullable State screw,
        Grade grade,
        Defect defect,
        Origin origin,
        String words,
        @Nullable Decided decided,
        int decidedAt,
        @Nullable String wanting) {
    /** In the key of a finding on a screw, since the same step may raise one on the part too. */
    static final String SCREW_SUFFIX = "s";

    /** Whether it is about a screw or a place of the part: another one there leaves the part what it is. */
    public boolean isWithinPart() {
        return screw != null || place != null;
    }

    /** What it is, in words: the defect, and what exactly where that says more. */
    public String what() {
        // of screws the words say it all, with their number
        return screw != null ? words : FindingRaised.what(defect, words);
    }

    /** Where it lies, in words, for a part of this name: "jewel, third wheel, of Train bridge". */
    public String where(String partName) {
        if (screw != null) {
            return "screw of " + partName;
        }
        return place == null ? partName : place.words() + ", of " + partName;
    }

    /** Where it lies, in words, in a movement: on a part, within one, at a place of the main plate, or the watch as a whole. */
    public String where(CalibreSheet movement) {
        if (part == null) {
            return place == null ? "the watch" : where("Main plate");
        }
        return where(movement.part(part).map(Part::name).orElse(part));
    }

    /** The decision that stands, if any. */
    public Optional<Decided> decision() {
        return Optional.ofNullable(decided);
    }

    /** Whether a decision is still due: grade 3, 4 or M without one. */
    public boolean isOpen() {
        return grade.needsDecision() && decided == null;
    }

    /** Whether nothing is wanting: no decision was needed, or it was taken and carried out. */
    public boolean isSettled() {
        return wanting == null;
    }

    /** Whether an interim part still waits for its replacement. */
    public boolean isInterim() {
        return decided != null && decided.decision() == Decision.INTERIM;
    }

    /** Whether the decision puts another part in the place of this one. */
    public boolean replaces() {
        return decided != null && decided.decision().replaces();
    }

    /** Where a replacement comes from; empty when nothing is replaced or nobody said. */
    public String source() {
        return decided == null ? "" : decided.source();
    }

    /** Whether a replacement was decided without saying where it comes from. */
    public boolean lacksSource() {
        return replaces() && source().isBlank();
    }

    /** A finding about which nothing was decided yet. */
    static Finding raised(String key, RecordedStep by, FindingRaised what, ScrewsFound.@Nullable State screw) {
        return new Finding(
                key,
                by.at(),
                by.sequence(),
                what.part(),
                what.place(),
                screw,
                what.grade(),
                what.defect(),
                what.origin(),
                what.words(),
                null,
                0,
                null);
    }

    Finding decided(Decided decision, int sequence) {
        return new Finding(
                key, at, raisedAt, part, place, screw, grade, defect, origin, words, decision, sequence, null);
    }

    Finding wanting(@Nullable String what) {
        return new Finding(
                key, at, raisedAt, part, place, screw, grade, defect, origin, words, decided, decidedAt, what);
    }
}
