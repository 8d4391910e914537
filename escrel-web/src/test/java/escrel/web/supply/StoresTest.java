package escrel.web.supply;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.parts.CopyAtHand;
import escrel.core.supply.Want;
import escrel.web.testing.BenchHand;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What is taken from donors and drawers, and whom orders name. */
class StoresTest extends WaitingWatch {
    @Test
    void partComesFromADonorWhichHasItNoMoreUntilItIsTakenBack() {
        String donors = visitor.post(
                        "/parts/donors", Map.of("name", "a CV-12 for parts " + number, "calibre", "cv-12", "words", ""))
                .body();
        Matcher id = Pattern.compile("/parts/donors/([0-9a-f]+)/gone").matcher(donors);
        assertThat(id.find()).isTrue();
        sent("third-wheel", "/call-off", Map.of("words", "the cutter has closed"));
        hand.post(
                "/findings/" + finding("third-wheel").key() + "/decision",
                Map.of("decision", "REPLACE_DONOR", "source", "a CV-12 for parts"));
        Map<String, String> take = Map.of("donor", id.group(1), "part", "third-wheel");
        assertThat(visitor.get("/parts?want=" + number + ":"
                                + want("third-wheel").key())
                        .body())
                .contains("take it from “a CV-12 for parts " + number + "”");

        sent("third-wheel", "/donor", take);

        assertThat(want("third-wheel").state()).isEqualTo(Want.State.TO_FIT);
        assertThat(visitor.get("/parts/donors/" + id.group(1)).body()).contains("Third wheel → job " + number);
        int other = visitor.openJob("Another watch", "cv-12");
        BenchHand otherHand = new BenchHand(server, other);
        otherHand.post(
                "/findings",
                Map.of(
                        "part",
                        "third-wheel",
                        "grade",
                        "BROKEN",
                        "defect",
                        "BROKEN",
                        "origin",
                        "WEAR",
                        "words",
                        "gone"));
        otherHand.post("/findings/4/decision", Map.of("decision", "REPLACE_DONOR", "source", "a CV-12 for parts"));
        assertThat(otherHand.post("/wants/f4/donor", take).body()).contains("was taken for job " + number);
        assertThat(visitor.post("/parts/donors/" + id.group(1) + "/lacks", Map.of("part", "third-wheel"))
                        .body())
                .contains("It was taken for job " + number);

        hand.post("/undo", Map.of("room", "inspect"));
        assertThat(otherHand.post("/wants/f4/donor", take).body()).contains("here, to fit");
        assertThat(otherHand
                        .load()
                        .job()
                        .copies()
                        .now("third-wheel")
                        .orElseThrow()
                        .origin())
                .isEqualTo(CopyAtHand.Origin.DONOR);
    }

    @Test
    void drawerIsCountedDownByWhatIsTakenAndUpWhenItIsTakenBack() {
        String name = "Third wheel of " + number;
        String page = visitor.post(
                        "/parts/stock",
                        Map.of("kind", "OTHER", "name", name, "size", "5.2", "place", "", "lowest", "1", "count", "1"))
                .body();
        Matcher id = Pattern.compile(name + ".*?/parts/stock/([0-9a-f]+)", Pattern.DOTALL)
                .matcher(page);
        assertThat(id.find()).isTrue();
        sent("third-wheel", "/call-off", Map.of("words", "the cutter has closed"));
        hand.post(
                "/findings/" + finding("third-wheel").key() + "/decision",
                Map.of("decision", "REPLACE_NEW", "source", name));

        sent("third-wheel", "/stock", Map.of("stock", id.group(1)));

        assertThat(want("third-wheel").state()).isEqualTo(Want.State.TO_FIT);
        assertThat(visitor.get("/parts/stores").body()).contains(name).contains("none left");
        hand.post("/undo", Map.of("room", "inspect"));
        assertThat(want("third-wheel").state()).isEqualTo(Want.State.TO_ORDER);
        assertThat(visitor.get("/parts/stores").body()).contains("1 left: order more");
        visitor.post("/parts/stock/" + id.group(1), Map.of("move", "COUNTED", "count", "0"));
        assertThat(sent("third-wheel", "/stock", Map.of("stock", id.group(1)))).contains("is left");
    }

    @Test
    void supplierInUseIsNotDropped() {
        assertThat(visitor.post("/parts/suppliers/drop", Map.of("name", "Stennay material store"))
                        .body())
                .containsPattern("(An order|orders) with Stennay material store (is|are) open");
        visitor.post(
                "/parts/suppliers",
                Map.of("name", "a saddler, job " + number, "trade", "PARTS", "reach", "", "words", ""));
        assertThat(visitor.post("/parts/suppliers/drop", Map.of("name", "a saddler, job " + number))
                        .body())
                .doesNotContain("a saddler, job " + number + "</b>");
    }
}
