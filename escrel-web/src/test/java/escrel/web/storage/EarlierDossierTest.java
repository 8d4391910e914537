package escrel.web.storage;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.condition.Grade;
import escrel.core.handover.Account;
import escrel.core.handover.HandedOver;
import escrel.core.handover.Stage;
import escrel.core.job.Job;
import escrel.core.lubrication.Oiled;
import escrel.core.parts.Finding;
import escrel.core.service.RuleBook;
import escrel.web.job.Workshop;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Dossiers that earlier versions gave out are taken in by this one, and go on. */
@Tag("long")
class EarlierDossierTest {
    private static final EscrelServer SERVER = EscrelServer.empty();

    private final Visitor visitor = new Visitor(SERVER.url());

    @AfterAll
    static void stop() {
        SERVER.close();
    }

    private void takeIn(String kept) throws IOException {
        byte[] dossier = Files.readAllBytes(Path.of("src/test/resources/dossiers/" + kept + ".json"));
        assertThat(visitor.upload("/jobs/import", Map.of(), "dossier", "d.json", dossier)
                        .body())
                .contains("The dossier was taken in as job");
    }

    /** In version 1 these jobs lay stripping, adjusting and climbing. */
    @ParameterizedTest
    @CsvSource({"3, STRIPPING", "4, ADJUSTING", "5, CLIMBING"})
    void dossiersOfVersion1AreTakenInAndGoOn(int job, Stage stage) throws IOException {
        takeIn("v1-job-" + job);
        assertThat(SERVER.bean(Workshop.class).load(job).stage()).isEqualTo(stage);
        for (String room :
                new String[] {"strip", "climb", "inspect", "wash", "readings", "turn", "handover", "report"}) {
            assertThat(visitor.get("/jobs/" + job + "/" + room).statusCode())
                    .as(room)
                    .isEqualTo(200);
        }
    }

    /** In version 4 a bridge that was replaced owed no end-shake, and clean parts were looked at all together. */
    @Test
    void dossierOfVersion4MeansWhatItMeantAndGoesOn() throws IOException {
        takeIn("v4-job-7");

        Job job = SERVER.bean(Workshop.class).load(7).job();
        assertThat(job.history().ruleBook()).isEqualTo(RuleBook.THIRD);
        assertThat(job.findings().all())
                .extracting(Finding::wanting)
                .containsExactly(null, "the other one is here and not fitted yet", null);
        assertThat(job.looks().clean("fourth-wheel")).isEqualTo(Grade.MEND);
        assertThat(job.looks().clean("barrel")).as("looked at with the rest").isEqualTo(Grade.GOOD);
        assertThat(visitor.get("/jobs/7/inspect").statusCode()).isEqualTo(200);
        assertThat(visitor.post(
                                "/jobs/7/inspect/judge",
                                Map.of("seq", visitor.sequence(7), "part", "crown-seal", "grade", "WORN"))
                        .statusCode())
                .isEqualTo(200);
        assertThat(visitor.get("/jobs/7/dossier.json").body()).contains("\"version\" : 8", "\"judged\"");
    }

    /** In version 6 oiling named no bottle and no part was prepared for its bath: that reads as it was. */
    @Test
    void dossierOfVersion6IsAsWholeAsItWas() throws IOException {
        takeIn("v6-job-12");
        Job job = SERVER.bean(Workshop.class).load(12).job();
        assertThat(job.history().all(Oiled.class))
                .isNotEmpty()
                .allSatisfy(o -> assertThat(o.bottle()).isNull());
        assertThat(job.lubrication().open()).isEmpty();
        assertThat(job.cleaning().due()).isEmpty();
    }

    /** In version 7 a hand-over kept no habits: today's hold, as they did. */
    @Test
    void dossierOfVersion7IsReadByTheHabitsOfToday() throws IOException {
        takeIn("v7-job-10");
        Job job = SERVER.bean(Workshop.class).load(10).job();
        assertThat(job.stage()).isEqualTo(Stage.HANDED_OVER);
        assertThat(job.history().last(HandedOver.class)).hasValue(new HandedOver("by the mail boat", List.of()));
        assertThat(job.habits()).isEqualTo(job.usualSchools());
        assertThat(job.accounts()).allMatch(Account::balances);
        assertThat(visitor.get("/jobs/10/schools").body()).contains("Habits were not kept with it then");
    }
}
