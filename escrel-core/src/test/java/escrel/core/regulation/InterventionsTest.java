package escrel.core.regulation;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.Calibres;
import escrel.core.job.Job;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.Noted;
import escrel.core.service.RecordedStep;
import escrel.core.timing.readings.Demagnetised;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

class InterventionsTest {
    @Test
    void demagnetiserStandsInTheLineOfTimeWhereItWasUsed() {
        Instant at = Instant.parse("2026-03-04T10:00:00Z");
        JobHistory history = JobHistory.of(List.of(
                new RecordedStep(1, at, new Noted(null, "a needle turned")),
                new RecordedStep(2, at.plusSeconds(60), new Demagnetised(3, ""))));

        Job job = Job.of(history, Calibres.small(), Schools.DEFAULT);

        assertThat(job.interventions())
                .containsExactly(new Interventions.Intervention(2, at.plusSeconds(60), "demagnetised"));
    }
}
