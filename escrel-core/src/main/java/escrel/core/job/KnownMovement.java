package escrel.core.job;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.SchoolChart;
import escrel.core.learning.LearntSheet;
import escrel.core.order.Rules;
import escrel.core.school.Schools;
import escrel.core.watchcase.CaseOfJob;
import org.jspecify.annotations.Nullable;

/**
 * The movement as a job knows it, with the rules of both ways on it. They follow from few steps: a job that goes on takes
 * them over from the one before, as long as what they follow from is the same.
 */
final class KnownMovement {
    /**
     * What everything here follows from.
     *
     * @param inCase the sheet, and the case around it
     * @param learnt what the job taught
     * @param schools that hold for the job
     */
    record From(CaseOfJob.Around inCase, LearntSheet.Said learnt, Schools schools) {}

    private final From from;
    private final CalibreSheet sheet;
    private final Lazy<Rules> down;
    private final Lazy<Rules> up;

    private KnownMovement(From from) {
        this.from = from;
        this.sheet = SchoolChart.of(
                CaseOfJob.withNamedStems(LearntSheet.on(from.inCase().sheet(), from.learnt())), from.schools());
        this.down = new Lazy<>(() -> Rules.down(sheet, from.schools()));
        this.up = new Lazy<>(() -> Rules.up(sheet, from.schools()));
    }

    /**
     * The movement that follows from this.
     *
     * @param before what was known last; it is the answer where it follows from the same
     */
    static KnownMovement of(From from, @Nullable KnownMovement before) {
        return before != null && before.from.equals(from) ? before : new KnownMovement(from);
    }

    /** Its sheet, in its case: what was learnt on the way, the charts of the schools. */
    CalibreSheet sheet() {
        return sheet;
    }

    /** The rules of the way down. */
    Rules down() {
        return down.get();
    }

    /** The rules of the way up. */
    Rules up() {
        return up.get();
    }
}
