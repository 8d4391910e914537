package escrel.web.job;

import escrel.core.calibre.CalibreSheet;
import escrel.core.handover.Stage;
import escrel.core.school.School;
import escrel.core.school.Schools;
import java.util.Locale;

/**
 * What stands at the top of every page of a job.
 *
 * @param care the mark of luminous paint that wants care; empty where there is none
 * @param sequence sent back with every step, so that two tabs cannot record over each other
 */
public record JobHead(
        int number, String watch, String calibre, int sequence, Stage stage, Schools schools, String care) {
    /** What was chosen in a question, as a sentence with its reason; empty when it was left open. */
    public String habit(String school) {
        return schools.of(School.valueOf(school))
                .map(c -> c.school().question() + ": " + c.words().toLowerCase(Locale.ROOT) + ", " + c.reason() + ".")
                .orElse("");
    }

    /** The head of a job. */
    public static JobHead of(OpenJob job) {
        CalibreSheet sheet = job.sheet();
        return new JobHead(
                job.number(),
                job.arrival().watch(),
                sheet == null ? "calibre unknown" : sheet.name(),
                job.sequence(),
                job.stage(),
                job.schools(),
                job.job().lume().mark());
    }
}
