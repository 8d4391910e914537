package escrel.web.inspection;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.parts.PlayLimits;
import escrel.web.storage.Sheets;
import escrel.web.storage.WorkshopLogs;
import escrel.web.testing.BenchHand;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Stripped;
import escrel.web.testing.Visitor;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** A measured play is held against the limits of its size, which the workshop may say otherwise. */
class PlayTest {
    private static EscrelServer server;
    private static Visitor visitor;

    @BeforeAll
    static void start() {
        server = EscrelServer.empty();
        visitor = new Visitor(server.url());
        server.bean(Sheets.class).keep(BenchHand.demoSheet("cv-12"));
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    private static String table(PlayLimits limits, UnaryOperator<String> high) {
        return limits.limits().stream()
                .map(l -> "size=%s&whose=%s&what=%s&low=%s&high=%s"
                        .formatted(
                                l.size(),
                                l.whose(),
                                l.what(),
                                l.low(),
                                URLEncoder.encode(high.apply(String.valueOf(l.high())), StandardCharsets.UTF_8)))
                .collect(Collectors.joining("&"));
    }

    @Test
    void measureIsJudgedByTheWorkshopsLimits() {
        BenchHand hand = new BenchHand(server, Stripped.cv12(server, 99));
        hand.post(
                "/strip/act",
                Map.of(
                        "act",
                        "MEASURED",
                        "part",
                        "third-wheel",
                        "side",
                        "TRAIN",
                        "value",
                        "END_SHAKE",
                        "words",
                        "0.07"));
        String look = "/jobs/" + hand.load().number() + "/inspect?part=third-wheel";
        // a CV-12 has 23.7 mm: 0.03 to 0.06 for a train wheel
        assertThat(visitor.get(look).body())
                .contains("0.07 mm: too much (0.03 to 0.06 for a train wheel, movements 18 to 32 mm)");
        assertThat(visitor.get("/settings/play").body()).contains("They are ours, from no maker");

        visitor.postRaw("/settings/play", table(PlayLimits.USUAL, h -> h.equals("0.06") ? "0,08" : h));
        assertThat(visitor.get(look).body()).contains("0.07 mm: as it should be (0.03 to 0.08");
        assertThat(visitor.get("/settings/play").body()).contains("This workshop has said so");

        PlayLimits kept = server.bean(WorkshopLogs.class).load().play();
        assertThat(visitor.postRaw("/settings/play", table(kept, h -> "0")).body())
                .contains("The limits are as they were");
        assertThat(visitor.postRaw("/settings/play", table(kept, h -> "wide")).body())
                .contains("A play is a number of millimetres");
        assertThat(server.bean(WorkshopLogs.class).load().play()).isEqualTo(kept);
    }
}
