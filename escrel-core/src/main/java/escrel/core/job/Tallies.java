package escrel.core.job;

import escrel.core.parts.Homes;
import escrel.core.service.Tally;
import escrel.core.timing.comparison.ReadingsDue;
import java.util.ArrayList;
import java.util.List;

/** What each concept of a job counts. Source: M17. */
final class Tallies {
    private Tallies() {}

    /** In the order in which the accounts are shown. */
    static List<Tally> of(Job job) {
        List<Tally> always = List.of(
                Homes.tally(job.lives(), job.copies()),
                job.screws().tally(job.history().ruleBook()),
                job.lubrication().tally(),
                job.tests().tally(),
                job.findings().tally(job.movement()),
                job.findings().interim(job.movement()),
                job.searches().tally(job.movement()),
                Homes.visits(job.lives()));
        if (!job.history().ruleBook().asksForAll()) {
            return always;
        }
        List<Tally> all = new ArrayList<>(always);
        all.add(job.cleaning().tally());
        all.add(ReadingsDue.tally(job.history(), job.lives().lastMovedAt()));
        return List.copyOf(all);
    }
}
