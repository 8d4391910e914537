package escrel.web.storage;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.Lore;
import escrel.core.calibre.Side;
import escrel.core.handover.Stage;
import escrel.core.service.Happened;
import escrel.web.job.Workshop;
import escrel.web.testing.BenchHand;
import escrel.web.testing.EscrelServer;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A database of version 1 (the demo workshop as that version filled it) opens in this one and goes on. */
class EarlierVersionTest {
    @Test
    void jobsStepsSheetsAndPhotosAreThereAndNewStepsGoIn() throws IOException {
        Path home = EscrelServer.folder();
        Files.copy(Path.of("src/test/resources/versions/v1.mv.db"), home.resolve("escrel.mv.db"));
        try (EscrelServer server = EscrelServer.on(home)) {
            Workshop workshop = server.bean(Workshop.class);

            assertThat(workshop.load(1).stage()).isEqualTo(Stage.HANDED_OVER);
            assertThat(workshop.load(5).sheet().lore()).isEqualTo(Lore.NONE);
            assertThat(workshop.load(5).stage()).isEqualTo(Stage.CLIMBING);
            BenchHand hand = new BenchHand(server, 1);
            for (String page : new String[] {"/strip", "/tray", "/way", "/film", "/learnt", "/report", "/readings"}) {
                assertThat(hand.get(page).statusCode()).as(page).isEqualTo(200);
            }
            assertThat(hand.get("/photos/2/full").statusCode()).isEqualTo(200);
            BenchHand harbour = new BenchHand(server, 5);
            harbour.act("LOST", "third-wheel", "", "", Side.TRAIN);
            assertThat(harbour.load().history().last(Happened.class)).isPresent();
            assertThat(harbour.post("/schools", Map.of("choice", "TRAIN_FIRST")).statusCode())
                    .isEqualTo(200);
        }
    }
}
