package escrel.web.storage;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.testing.EscrelServer;
import escrel.web.testing.OwnProcess;
import escrel.web.testing.Visitor;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** A step the page has acknowledged survives a process that is killed outright. */
@Tag("long")
class KilledServerTest {
    @Test
    void secondProcessOnTheSameFolderIsToldPlainly() throws Exception {
        Path home = EscrelServer.folder();
        try (EscrelServer first = EscrelServer.on(home)) {
            Process second = OwnProcess.start(home, false);
            String said = new String(second.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertThat(second.waitFor()).isEqualTo(2);
            assertThat(said).contains("Another Escrel has this folder open", "ESCREL_HOME");
            assertThat(new Visitor(first.url()).get("/").statusCode()).isEqualTo(200);
        }
    }

    @Test
    void everyAcknowledgedStepIsThereAfterAKill() throws Exception {
        Path home = OwnProcess.folderKnowing("cv-12");
        Process first = OwnProcess.start(home, false);
        int job;
        int acknowledged;
        try {
            Visitor visitor = new Visitor(OwnProcess.address(first));
            job = visitor.openJob("Killed watch", "cv-12");
            for (String part : List.of("case-back", "stem", "watchcase", "seconds-hand")) {
                int status = visitor.post(
                                "/jobs/" + job + "/strip/off",
                                Map.of("part", part, "seq", visitor.sequence(job), "answered", "true"))
                        .statusCode();
                assertThat(status).isEqualTo(200);
            }
            acknowledged = visitor.sequence(job);
        } finally {
            // SIGKILL: no shutdown hook runs
            first.destroyForcibly().waitFor();
        }

        Process second = OwnProcess.start(home, false);
        try {
            Visitor visitor = new Visitor(OwnProcess.address(second));
            assertThat(visitor.sequence(job)).isEqualTo(acknowledged);
            assertThat(visitor.get("/jobs/" + job + "/strip").body()).contains("4 off");
        } finally {
            second.destroyForcibly().waitFor();
        }
    }
}
