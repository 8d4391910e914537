package escrel.core.watchcase;

import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Side;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** The way up of a movement in its case: oil points and tests with their windows, seals greased, a screw-down crown proved. */
final class CasedClimb {
    private final CalibreSheet movement;
    private final CaseSheet watchcase;
    private final @Nullable String back;
    private final @Nullable String front;
    private final Set<String> there;

    /**
     * For a movement in a case.
     *
     * @param back innermost layer that comes off at the back; nothing where none does
     * @param front the same at the front
     * @param there codes of all parts of both
     */
    CasedClimb(
            CalibreSheet movement,
            CaseSheet watchcase,
            @Nullable String back,
            @Nullable String front,
            Set<String> there) {
        this.movement = movement;
        this.watchcase = watchcase;
        this.back = back;
        this.front = front;
        this.there = there;
    }

    List<OilPoint> points() {
        List<OilPoint> points = new ArrayList<>();
        for (OilPoint p : movement.oilPoints()) {
            if (there.contains(p.part())) {
                points.add(new OilPoint(
                        p.code(),
                        p.name(),
                        p.part(),
                        p.side(),
                        p.lubricant(),
                        p.amount(),
                        window(p.after()),
                        before(p.after(), p.before()),
                        p.x(),
                        p.y(),
                        p.why()));
            }
        }
        for (CasePart part : watchcase.parts()) {
            if (part.kind().isSeal()) {
                points.add(new OilPoint(
                        "g-" + part.code(),
                        part.part().name(),
                        part.code(),
                        part.part().side(),
                        LubricantClass.GASKET_GREASE,
                        "film",
                        null,
                        part.code(),
                        0,
                        0,
                        ""));
            }
        }
        return points;
    }

    List<AssemblyTest> tests() {
        List<AssemblyTest> tests = new ArrayList<>();
        for (AssemblyTest t : movement.tests()) {
            String after = window(t.after());
            if (after != null) {
                tests.add(new AssemblyTest(
                        t.code(), t.name(), t.side(), after, before(t.after(), t.before()), t.expect(), t.proof()));
            }
        }
        String closing = back == null ? front : back;
        if (Boolean.TRUE.equals(watchcase.screwDown())) {
            tests.add(new AssemblyTest(
                    "case-crown",
                    "Screw-down crown closes on its thread",
                    Side.TRAIN,
                    CalibreSheet.CASED,
                    closing,
                    "Unscrewed it winds and sets; screwed down it takes its thread by itself, its spring holds against"
                            + " the tube. It may wind while it is screwed down."));
        }
        return tests;
    }

    /** Where a window opens; nothing when the case or movement has no such part. */
    private @Nullable String window(@Nullable String code) {
        return code != null && there.contains(code) ? code : null;
    }

    /** Where a window closes: before the case is closed means, where only the front opens, before the movement goes in. */
    private @Nullable String before(@Nullable String after, @Nullable String before) {
        if (!CalibreSheet.CLOSED.equals(before) || there.contains(CalibreSheet.CLOSED)) {
            return window(before);
        }
        boolean cased = Objects.equals(after, CalibreSheet.CASED);
        return back != null ? back : cased ? front : CalibreSheet.CASED;
    }
}
