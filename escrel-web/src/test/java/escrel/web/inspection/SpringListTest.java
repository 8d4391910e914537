package escrel.web.inspection;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.mainspring.Mainspring;
import escrel.core.mainspring.SpringsListed.Stocked;
import escrel.core.supply.StockCounted;
import escrel.core.supply.StockKept;
import escrel.web.storage.Sheets;
import escrel.web.storage.WorkshopLogs;
import escrel.web.testing.BenchHand;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Springs from a supplier's table and from drawers. */
class SpringListTest {
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

    private static HttpResponse<String> columnsSaid(int job, List<Map.Entry<String, String>> fields) {
        return visitor.postRaw(
                "/jobs/" + job + "/mainspring/columns",
                fields.stream()
                        .map(f -> f.getKey() + "=" + URLEncoder.encode(f.getValue(), StandardCharsets.UTF_8))
                        .collect(Collectors.joining("&")));
    }

    @Test
    void columnsOfACatalogueAreSaidOnceAndRemembered() {
        int job = visitor.openJob("Catalogue", "cv-12");
        String catalogue = "Art.;Blatt;Stärke;Ring;Weite\n\"K;7\";1,20;0,10;8;360\nK9;1,25;0,11;9;340\n";
        String asked = visitor.post("/jobs/" + job + "/mainspring/stock", Map.of("table", catalogue))
                .body();
        assertThat(asked).contains("Which column is which?", "Stärke", "K;7");
        List<Map.Entry<String, String>> said = new ArrayList<>();
        said.add(Map.entry("table", catalogue));
        for (String meaning : List.of("name", "width", "thickness", "", "length")) {
            said.add(Map.entry("means", meaning));
        }
        assertThat(columnsSaid(job, said).statusCode()).isLessThan(400);
        assertThat(server.bean(WorkshopLogs.class).load().springs())
                .containsExactly(
                        new Stocked("K;7", new Mainspring(1.20, 0.10, 360, "")),
                        new Stocked("K9", new Mainspring(1.25, 0.11, 340, "")));

        // the next list headed alike asks nothing
        String next = catalogue.replace("K9", "K10");
        assertThat(visitor.post("/jobs/" + job + "/mainspring/stock", Map.of("table", next))
                        .body())
                .doesNotContain("Which column is which?");
        assertThat(server.bean(WorkshopLogs.class).load().springs())
                .extracting(Stocked::name)
                .containsExactly("K;7", "K10");

        // two columns for one measure, or none for another, change nothing
        said.set(1, Map.entry("means", "width"));
        assertThat(columnsSaid(job, said).body()).contains("Two columns are said to be the width");
        said.set(2, Map.entry("means", ""));
        assertThat(columnsSaid(job, said.subList(0, 3)).body()).contains("each want a column");
        assertThat(server.bean(WorkshopLogs.class).load().springs()).hasSize(2);
    }

    @Test
    void filesOfAnOlderEncodingAreRead() {
        byte[] old = "Stärke".getBytes(Charset.forName("windows-1252"));
        assertThat(SpringTable.text(old)).isEqualTo("Stärke");
        assertThat(SpringTable.text("Stärke".getBytes(StandardCharsets.UTF_8))).isEqualTo("Stärke");
        assertThatThrownBy(() -> SpringTable.text(new byte[] {'P', 'K', 3, 4, 0, 0}))
                .hasMessageContaining("no table");
    }

    @Test
    void springsCountedInADrawerAreWeighedAndAnEmptyDrawerIsSaid() {
        WorkshopLogs logs = server.bean(WorkshopLogs.class);
        logs.append(new StockKept("m-1", StockKept.Kind.SPRING, "Blue box", "1.5 × 0.1 × 360 mm", "shelf 2", 1));
        logs.append(new StockCounted("m-1", 3));
        logs.append(new StockKept("m-2", StockKept.Kind.SPRING, "Red box", "355 x 1,45 x 0,1", "shelf 2", 0));
        int job = visitor.openJob("Counted", "cv-12");
        String page = visitor.get(
                        "/jobs/" + job + "/mainspring?inside=10&arbor=2.8&width=1.5&thickness=0.1&length=360&hours=6")
                .body();
        assertThat(page).contains("Blue box", "3 left, shelf 2", "Red box", "none left, shelf 2", "49.7 %");
    }
}
