package escrel.web.climb;

import escrel.core.assembly.AssemblyPlan;
import escrel.core.calibre.Part;
import escrel.core.cleaning.Epilame;
import escrel.core.job.Job;
import escrel.core.school.Schools;
import escrel.core.teardown.Caution;
import java.util.ArrayList;
import java.util.List;

/** What stands before a part as it goes on: what its sheet and the habits say, and what it still owes. */
final class Asked {
    private Asked() {}

    /** What stands before a line: a part going on, or its screws being driven later. */
    static List<Caution> before(Job job, AssemblyPlan.Kind kind, Part part) {
        return switch (kind) {
            case PART -> before(job, part, job.schools());
            case SCREWS -> Caution.asItsScrewsAreDriven(job.movement(), part);
            case OIL, TEST -> List.of();
        };
    }

    private static List<Caution> before(Job job, Part part, Schools schools) {
        List<Caution> all = new ArrayList<>();
        // a job begun before rinses were counted is asked for none
        if (job.history().ruleBook().asksForAll()) {
            job.cleaning()
                    .owedBeforeOn(part.code())
                    .ifPresent(owed -> all.add(new Caution(
                            Caution.Kind.ASKS,
                            "Not clean yet",
                            part.name() + " " + owed + ". The same key fits it all the same; the account stays open.",
                            List.of())));
        }
        Epilame epilame = job.epilame();
        if (epilame.isOn(part.code())) {
            String words = epilame.wantsPivotsCleaned(part)
                    ? "Dry, and its pivots cleaned of the film in pith: oil must stay on them."
                    : "Dry: oil and assembly come only then.";
            all.add(new Caution(Caution.Kind.ASKS, "Treated with epilame", words, List.of()));
        }
        all.addAll(Caution.onTheWayUp(job.movement(), part, schools));
        return all;
    }
}
