package escrel.web.arrival;

import escrel.core.watchcase.CaseSaid;
import escrel.core.watchcase.CaseSheet;
import escrel.core.watchcase.Opens;
import escrel.web.job.OpenJob;
import escrel.web.plan.CaseDrawing;
import escrel.web.storage.CaseSheetMapper;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The case on the arrival page.
 *
 * @param sheet the one the watch is bound to, or nothing
 * @param drawing of the case as this job knows it; nothing where it knows none
 * @param all cases to choose from
 * @param opens what was said of this watch, the name of one of {@link Opens}
 * @param crown what was said of it: YES, NO or NOT_SAID
 * @param bySheet what holds for the crown where nothing was said
 */
record CaseView(
        @Nullable CaseSheet sheet,
        int version,
        @Nullable CaseDrawing drawing,
        List<CaseSheetMapper.CaseRow> all,
        String opens,
        String crown,
        String bySheet,
        List<Opens> ways) {
    static CaseView of(OpenJob job, List<CaseSheetMapper.CaseRow> all) {
        CaseSheet sheet = job.caseSheet();
        Boolean screwed = sheet == null ? null : sheet.screwDown();
        return new CaseView(
                sheet,
                job.caseVersion(),
                job.job()
                        .watchcase()
                        .map(c -> CaseDrawing.of(c, CaseDrawing.State.whole(null)))
                        .orElse(null),
                all,
                CaseActions.value(job, CaseSaid.Fact.OPENS),
                CaseActions.value(job, CaseSaid.Fact.SCREW_DOWN_CROWN),
                screwed == null ? "not said" : (screwed ? "screw-down" : "not screwed down") + ", by its sheet",
                List.of(Opens.values()));
    }
}
