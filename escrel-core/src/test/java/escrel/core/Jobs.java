package escrel.core;

import escrel.core.calibre.CalibreSheet;
import escrel.core.job.Job;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.Step;

/** Jobs for tests: a sheet, the usual habits, steps one minute apart. */
public final class Jobs {
    private Jobs() {}

    public static Job of(CalibreSheet sheet, Step... steps) {
        return of(sheet, Histories.of(steps));
    }

    public static Job of(CalibreSheet sheet, JobHistory history) {
        return Job.of(history, sheet, Schools.DEFAULT);
    }
}
