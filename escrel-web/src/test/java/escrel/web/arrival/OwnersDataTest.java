package escrel.web.arrival;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.service.Corrected;
import escrel.web.job.OwnersData;
import escrel.web.job.Workshop;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** An owner has what is kept about them, or has it erased; the watch keeps its history. */
class OwnersDataTest {
    private static final String OWNER = "Net mender, lower quay";

    private static int open(Visitor visitor, String owner) {
        String path = visitor.post(
                        "/jobs",
                        Map.of(
                                "watch", "Erased watch",
                                "owner", owner,
                                "contact", "third door after the slip",
                                "complaint", "gains in the pocket",
                                "stance", "SYMPATHETIC"))
                .uri()
                .getPath();
        return Integer.parseInt(path.replaceAll("\\D", ""));
    }

    @Test
    void ownerIsGivenOutAndErasedEverywhereWhileTheTechnicalRecordStays() throws IOException {
        Path home = EscrelServer.folder();
        try (EscrelServer server = EscrelServer.on(home)) {
            Visitor visitor = new Visitor(server.url());
            int first = open(visitor, OWNER);
            int second = open(visitor, OWNER);
            int other = open(visitor, "Somebody else");
            // a correction, as a file from elsewhere may bring one, holds the owner as well
            Workshop workshop = server.bean(Workshop.class);
            workshop.append(
                    second,
                    visitor.sequence(second),
                    new Corrected(1, workshop.load(second).arrival()));
            assertThat(visitor.get("/jobs/" + first + "/log/1").body()).contains("cannot be corrected here");
            String given = visitor.get("/jobs/" + first + "/owner.json").body();
            assertThat(given).contains(OWNER, "third door after the slip", "\"number\" : " + second);
            assertThat(given).doesNotContain("Somebody else");

            assertThat(visitor.post("/jobs/" + first + "/owner/erase", Map.of("owner", "Net mender"))
                            .statusCode())
                    .as("the name must be typed as it stands")
                    .isEqualTo(422);
            visitor.post("/jobs/" + first + "/owner/erase", Map.of("owner", OWNER));

            for (int job : new int[] {first, second}) {
                String dossier = visitor.get("/jobs/" + job + "/dossier.json").body();
                assertThat(dossier)
                        .contains("gains in the pocket", OwnersData.ERASED, "erased on request")
                        .doesNotContain(OWNER, "third door");
                assertThat(server.bean(Workshop.class).load(job).arrival().owner())
                        .isEqualTo(OwnersData.ERASED);
            }
            assertThat(visitor.get("/jobs/" + other + "/dossier.json").body()).contains("Somebody else", "third door");
            assertThat(visitor.get("/").body()).doesNotContain(OWNER);
        }
        try (Stream<Path> journal = Files.list(home.resolve("journal"))) {
            assertThat(journal.filter(f -> f.toString().endsWith(".log")))
                    .allSatisfy(f -> assertThat(Files.readString(f, StandardCharsets.UTF_8))
                            .doesNotContain(OWNER));
        }
    }
}
