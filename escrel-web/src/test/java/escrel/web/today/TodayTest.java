package escrel.web.today;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.testing.EscrelServer;
import escrel.web.testing.Stripped;
import escrel.web.testing.Visitor;
import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.Test;

class TodayTest {
    private final EscrelServer server = EscrelServer.demo();
    private final Visitor visitor = new Visitor(server.url());

    @Test
    void eachWatchLeadsToTheRoomOfItsNextAct() {
        int fresh = visitor.openJob("Fresh watch", "cv-12");
        int open = Stripped.cv12(server, 3);
        int bare = Stripped.cv12(server, 99);

        assertThat(visitor.get("/").body())
                .contains("/jobs/" + fresh + "/readings", "take the readings as received")
                .contains("/jobs/" + open + "/strip", "next off: Small seconds hand")
                .contains("/jobs/" + bare + "/wash", "clean 41 parts")
                .contains("/jobs/5/climb", "next on: Third wheel");
    }

    @Test
    void watchReadWithoutACalibreAsksForIt() {
        int unknown = visitor.openJob("Unknown watch", "");
        visitor.post(
                "/jobs/" + unknown + "/readings/none",
                Map.of("seq", visitor.sequence(unknown), "state", "AS_RECEIVED", "words", ""));

        assertThat(visitor.get("/").body())
                .contains("/jobs/" + unknown + "/arrival", "strip it and name its parts, or bind it to a sheet");
    }

    @Test
    void whatWentBackStandsApartWithItsReport() {
        String page = visitor.get("/").body();

        assertThat(page.indexOf("Gone back")).isLessThan(page.indexOf("Lanthorn lamp-room pocket watch"));
        assertThat(page).contains("/jobs/1/report");
    }

    /** Other programs ask again and again: what has not changed is not sent again, and no job is left out. */
    @Test
    void jobsForOtherProgramsComeInPagesAndOnlyWhenTheyChanged() {
        try (EscrelServer own = EscrelServer.empty()) {
            Visitor there = new Visitor(own.url());
            for (int job = 1; job <= 101; job++) {
                there.openJob("Watch " + job, "");
            }
            HttpResponse<String> first = there.get("/jobs.json");
            assertThat(first.body())
                    .contains("\"number\":1,", "\"number\":100,")
                    .doesNotContain("\"number\":101,");
            assertThat(first.headers().firstValue("Link")).hasValue("</jobs.json?after=100>; rel=\"next\"");
            HttpResponse<String> last = there.get("/jobs.json?after=100");
            assertThat(last.body()).contains("\"number\":101,");
            assertThat(last.headers().firstValue("Link")).isEmpty();

            String tag = last.headers().firstValue("ETag").orElseThrow();
            assertThat(there.get("/jobs.json?after=100", "If-None-Match", tag).statusCode())
                    .isEqualTo(304);
            there.post("/jobs/101/notes", Map.of("seq", 2, "words", "changed"));
            assertThat(there.get("/jobs.json?after=100", "If-None-Match", tag).statusCode())
                    .isEqualTo(200);
        }
    }
}
