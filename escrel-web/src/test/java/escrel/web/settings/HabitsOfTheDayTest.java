package escrel.web.settings;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.job.Job;
import escrel.core.school.Choice;
import escrel.core.school.Schools;
import escrel.web.job.Workshop;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;

/** A watch that has left is read by the habits of the day it left: in the workshop it left, and in another. */
class HabitsOfTheDayTest {
    private static final EscrelServer SERVER = EscrelServer.knowing("cv-12");

    private final Visitor visitor = new Visitor(SERVER.url());

    @AfterAll
    static void stop() {
        SERVER.close();
    }

    private int handedOver(String watch) {
        int job = visitor.openJob(watch, "cv-12");
        visitor.post(
                "/jobs/" + job + "/work",
                Map.of("seq", visitor.sequence(job), "work", "RETURNED_UNOPENED", "words", "too far gone"));
        assertThat(visitor.post(
                                "/jobs/" + job + "/handover",
                                Map.of("seq", visitor.sequence(job), "words", "by the ferry"))
                        .body())
                .contains("It went back");
        return job;
    }

    private static Job load(EscrelServer server, int job) {
        return server.bean(Workshop.class).load(job).job();
    }

    @Test
    void whatIsTakenUpLaterAsksNothingOfIt() {
        visitor.post("/settings", Map.of("choice", Choice.FORK_DIPPED));
        visitor.post("/calibres/cv-12/schools", Map.of("choice", Choice.TRAIN_FIRST));
        int job = handedOver("Tidewell P-643");
        Schools then = Schools.DEFAULT.with(Choice.FORK_DIPPED, Choice.TRAIN_FIRST);

        visitor.post("/settings", Map.of("choice", Choice.GREASE_FLOOR));
        visitor.post("/settings", Map.of("choice", Choice.FORK_IN_MACHINE));
        visitor.post("/calibres/cv-12/schools/forget", Map.of("school", Choice.TRAIN_FIRST.school()));

        assertThat(load(SERVER, job).schools()).isEqualTo(then);
        assertThat(visitor.get("/jobs/" + job + "/schools").body())
                .contains("the habits of that day hold for it")
                .containsPattern(pressed(Choice.FORK_DIPPED, true))
                .containsPattern(pressed(Choice.FORK_IN_MACHINE, false));
        int here = visitor.openJob("Tidewell P-644", "cv-12");
        assertThat(load(SERVER, here).schools()).isEqualTo(Schools.DEFAULT.with(Choice.GREASE_FLOOR));
        assertThat(visitor.get("/jobs/" + here + "/schools").body()).doesNotContain("habits of that day");

        // a workshop of other habits reads it as the one it left
        try (EscrelServer there = EscrelServer.empty()) {
            Visitor other = new Visitor(there.url());
            other.post("/settings", Map.of("choice", Choice.NEVER_BY_HAND));
            other.post("/settings", Map.of("choice", Choice.ESCAPE_TEETH));
            byte[] dossier =
                    visitor.get("/jobs/" + job + "/dossier.json").body().getBytes(StandardCharsets.UTF_8);
            assertThat(other.upload("/jobs/import", Map.of(), "dossier", "d.json", dossier)
                            .body())
                    .contains("The dossier was taken in as job " + job);
            assertThat(load(there, job).schools()).isEqualTo(then);
        }
    }

    private static String pressed(Choice side, boolean yes) {
        return "value=\"" + side + "\"[^>]*aria-pressed=\"" + yes + "\"";
    }
}
