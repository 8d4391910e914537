package escrel.core.job;

import escrel.core.assembly.AssemblyPlan;
import escrel.core.calibre.Part;
import escrel.core.handover.Account;
import escrel.core.handover.Stage;
import escrel.core.parts.Finding;
import escrel.core.service.WorkAgreed;
import java.util.List;

/** The next sensible act of a job, in a few words. */
final class NextAct {
    private static final int LONGEST = 300;

    private NextAct() {}

    static String of(Job job) {
        String words = words(job);
        return words.length() <= LONGEST ? words : words.substring(0, LONGEST);
    }

    private static String words(Job job) {
        Stage stage = job.stage();
        if (stage == Stage.HANDED_OVER) {
            return "nothing: it went back";
        }
        WorkAgreed.Work work = job.agreed().map(WorkAgreed::work).orElse(WorkAgreed.Work.SERVICE);
        if (work != WorkAgreed.Work.SERVICE && job.lives().everOff().isEmpty()) {
            return withoutTeardown(job, work);
        }
        if (stage == Stage.ARRIVED) {
            return "take the readings as received";
        }
        if (job.movement().parts().isEmpty()) {
            return "strip it and name its parts, or bind it to a sheet";
        }
        return switch (stage) {
            case READ, STRIPPING ->
                "next off: "
                        + job.wayDown()
                                .next()
                                .map(Part::name)
                                .orElse(job.sheet() == null ? "name the next part" : "nothing");
            case INSPECTING -> inspecting(job);
            case CLEAN, CLIMBING -> "next on: " + nextOn(job);
            case ADJUSTING -> adjusting(job);
            default -> "hand over";
        };
    }

    private static String withoutTeardown(Job job, WorkAgreed.Work work) {
        boolean ready = job.stage() == Stage.READY || work.isLeftAlone();
        // of case work nothing is recorded that could tell when it is done
        if (job.mayLeave() && ready && work != WorkAgreed.Work.CASE_WORK) {
            return "hand over";
        }
        if (job.readings().isEmpty() && work.endsWithReadings()) {
            return "take the readings as received";
        }
        return switch (work) {
            case DEMAGNETISE -> "demagnetise, then take the final readings";
            case REGULATE -> "regulate, then take the final readings";
            case CASE_WORK -> job.mayLeave() ? "do the case work, then hand over" : firstOpen(job);
            default -> firstOpen(job);
        };
    }

    private static String inspecting(Job job) {
        List<Finding> open = job.findings().open();
        if (!open.isEmpty()) {
            return "decide on " + open.size() + (open.size() == 1 ? " finding" : " findings");
        }
        int due = job.cleaning().due().size();
        return "clean " + due + (due == 1 ? " part" : " parts");
    }

    private static String nextOn(Job job) {
        return job.wayUp().next().map(AssemblyPlan.Line::name).orElse(firstOpen(job));
    }

    private static String adjusting(Job job) {
        return job.wayUp()
                .next()
                .map(l -> "still open on the way up: " + l.name())
                .orElseGet(() -> firstOpen(job));
    }

    private static String firstOpen(Job job) {
        return job.accounts().stream()
                .filter(Account::blocks)
                .findFirst()
                .map(a -> a.blocking().get(0).words())
                .orElse("take the final readings");
    }
}
