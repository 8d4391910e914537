package escrel.web.job;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.storage.JobLineMapper;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionTemplate;

class MissingLinesTest {
    /** Else it would write on into a journal that is closed by then. */
    @Test
    void closingWaitsForTheJobAtHandAndForNoFurther() {
        try (EscrelServer server = EscrelServer.empty()) {
            Visitor visitor = new Visitor(server.url());
            for (int i = 0; i < 12; i++) {
                visitor.openJob("Lineless watch " + i, "");
            }
            JobLineMapper mapper = server.bean(JobLineMapper.class);
            mapper.clearLines();
            MissingLines missing = new MissingLines(
                    mapper,
                    server.bean(JobLines.class),
                    server.bean(Workshop.class),
                    server.bean(TransactionTemplate.class),
                    "");

            missing.begin();
            missing.close();

            assertThat(missing.isAtWork()).isFalse();
            assertThat(mapper.countMissing()).isPositive();
        }
    }
}
