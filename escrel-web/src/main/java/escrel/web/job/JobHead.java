package escrel.web.job;

import escrel.core.calibre.CalibreSheet;
import escrel.core.handover.Stage;

/**
 * What stands at the top of every page of a job.
 *
 * @param sequence sent back with every step, so that two tabs cannot record over each other
 */
public record JobHead(int number, String watch, String calibre, int sequence, Stage stage) {
    /** The head of a job. */
    public static JobHead of(OpenJob job) {
        CalibreSheet sheet = job.sheet();
        return new JobHead(
                job.number(),
                job.arrival().watch(),
                sheet == null ? "calibre unknown" : sheet.name(),
                job.sequence(),
                job.stage());
    }
}
