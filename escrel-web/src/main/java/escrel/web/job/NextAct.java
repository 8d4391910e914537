package escrel.web.job;

import escrel.core.assembly.AssemblyPlan;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.cleaning.CleaningState;
import escrel.core.handover.Account;
import escrel.core.handover.Accounts;
import escrel.core.handover.Stage;
import escrel.core.parts.Finding;
import escrel.core.parts.Findings;
import escrel.core.service.JobHistory;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
import java.util.List;

/** The next sensible act of a job, in a few words for the list of today. */
final class NextAct {
    private static final int LONGEST = 300;

    private NextAct() {}

    static String of(OpenJob job) {
        String words = words(job, job.history());
        return words.length() <= LONGEST ? words : words.substring(0, LONGEST);
    }

    private static String words(OpenJob job, JobHistory history) {
        Stage stage = job.stage();
        if (stage == Stage.HANDED_OVER) {
            return "nothing: it went back";
        }
        if (stage == Stage.ARRIVED) {
            return "take the readings as received";
        }
        CalibreSheet sheet = job.movement();
        if (sheet.parts().isEmpty()) {
            return "strip it and name its parts, or bind it to a sheet";
        }
        TeardownState teardown = TeardownState.of(sheet, history);
        return switch (stage) {
            case READ, STRIPPING ->
                "next off: "
                        + TeardownOrder.from(teardown, job.schools())
                                .next()
                                .map(Part::name)
                                .orElse(job.sheet() == null ? "name the next part" : "nothing");
            case INSPECTING -> inspecting(teardown, history);
            case CLEAN, CLIMBING -> "next on: " + nextOn(job, teardown);
            case ADJUSTING -> adjusting(sheet, teardown, history);
            default -> "hand over";
        };
    }

    private static String inspecting(TeardownState teardown, JobHistory history) {
        List<Finding> open = Findings.of(history).open();
        if (!open.isEmpty()) {
            return "decide on " + open.size() + (open.size() == 1 ? " finding" : " findings");
        }
        return "clean " + CleaningState.of(teardown, history).due().size() + " parts";
    }

    private static String nextOn(OpenJob job, TeardownState teardown) {
        return AssemblyPlan.from(teardown, job.history(), job.schools())
                .next()
                .map(AssemblyPlan.Line::name)
                .orElse("nothing");
    }

    private static String adjusting(CalibreSheet sheet, TeardownState teardown, JobHistory history) {
        AssemblyPlan plan = AssemblyPlan.from(teardown, history);
        if (plan.next().isPresent()) {
            return "still open on the way up: " + plan.next().get().name();
        }
        return Accounts.of(sheet, history).stream()
                .filter(Account::blocks)
                .findFirst()
                .map(a -> a.open().get(0))
                .orElse("take the final readings");
    }
}
