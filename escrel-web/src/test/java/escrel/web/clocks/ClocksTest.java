package escrel.web.clocks;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.clock.Clocks;
import escrel.web.storage.WorkshopLogs;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ClocksTest {
    private static EscrelServer server;
    private static Visitor visitor;

    @BeforeAll
    static void start() {
        server = EscrelServer.empty();
        visitor = new Visitor(server.url());
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    private static List<Clocks.Running> running() {
        return server.bean(WorkshopLogs.class).load().running().running();
    }

    @Test
    void aClockIsSetStoppedAndStoppedTwice() {
        visitor.post("/clocks", Map.of("words", "adhesive sets", "minutes", "2,5"));
        Clocks.Running one = running().stream()
                .filter(r -> r.clock().words().equals("adhesive sets"))
                .findFirst()
                .orElseThrow();
        assertThat(one.clock().length()).hasSeconds(150);
        String end = "/clocks/" + one.clock().id() + "/ended";
        visitor.post(end, Map.of("done", "true"));
        int acts = server.bean(WorkshopLogs.class).load().acts().recorded().size();
        visitor.post(end, Map.of("done", "true"));
        assertThat(server.bean(WorkshopLogs.class).load().acts().recorded()).hasSize(acts);
        assertThat(running()).noneMatch(r -> r.clock().id().equals(one.clock().id()));
    }

    @ParameterizedTest
    @CsvSource({
        "'', 10, What a clock counts",
        "x, ten, no number of minutes",
        "x, 0, a second to a week",
        "x, 99999, a second to a week"
    })
    void whatIsNoClockIsRefused(String words, String minutes, String why) {
        int before = running().size();
        assertThat(visitor.post("/clocks", Map.of("words", words, "minutes", minutes))
                        .body())
                .contains(why, "No clock was set");
        assertThat(running()).hasSize(before);
    }
}
