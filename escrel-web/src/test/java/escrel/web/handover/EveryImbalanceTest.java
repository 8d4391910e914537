package escrel.web.handover;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.condition.Grade;
import escrel.core.service.OpenItem;
import escrel.core.service.PartOff;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Tally;
import escrel.core.service.Visit;
import escrel.web.job.Workshop;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Stripped;
import escrel.web.testing.Visitor;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A watch is refused for each kind of imbalance, and each leads to the place where it is settled. Source: M17. */
class EveryImbalanceTest {
    private final EscrelServer server = EscrelServer.demo();
    private final Visitor visitor = new Visitor(server.url());

    private List<OpenItem> open(int job, Tally.Kind kind) {
        return server.bean(Workshop.class).load(job).job().accounts().stream()
                .filter(a -> a.kind() == kind)
                .flatMap(a -> a.blocking().stream())
                .toList();
    }

    /** One of the demo that nobody works on here, or, for 0, a watch half apart with a screw short and the dial on a visit. */
    private int job(int wanted) {
        if (wanted > 0) {
            return wanted;
        }
        int job = Stripped.cv12(server, 12);
        Workshop workshop = server.bean(Workshop.class);
        workshop.append(
                job,
                workshop.load(job).sequence(),
                List.of(
                        new PartOff(
                                workshop.load(job)
                                        .job()
                                        .wayDown()
                                        .next()
                                        .orElseThrow()
                                        .code(),
                                Grade.GOOD,
                                ScrewsFound.of(ScrewsFound.State.MISSING, 1),
                                PartOff.Plan.KEEP,
                                "",
                                ""),
                        new Visit("dial", Visit.Act.BEGIN, "to try the hands")));
        return job;
    }

    /** What is open of each is read from the page, and pressed. */
    @ParameterizedTest
    @CsvSource({
        "HOMES, 5, /climb",
        "SCREWS, 0, /climb",
        "LUBRICATION, 5, /climb",
        "TESTS, 5, /climb",
        "FINDINGS, 7, /findings",
        "INTERIM_PARTS, 5, /parts",
        "SEARCHES, 3, /strip",
        "VISITS, 0, /climb",
        "CLEANING, 0, /wash",
        "READINGS, 7, /readings"
    })
    void refusedAndOpenedWhereItIsSettled(Tally.Kind kind, int wanted, String place) {
        int job = job(wanted);
        OpenItem item = open(job, kind).get(0);
        String refused = visitor.post(
                        "/jobs/" + job + "/handover", Map.of("seq", visitor.sequence(job), "words", "to the owner"))
                .body();
        assertThat(refused).contains("The watch cannot leave");
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + job + "/handover");
            browser.seeText("Not yet: something is open");
            browser.driver().executeScript("document.querySelectorAll('details').forEach(d => d.open = true)");
            browser.click("a[aria-label=\"settle it: " + item.words() + "\"]");
            browser.untilTrue(
                    "the page where it is settled",
                    () -> browser.driver().getCurrentUrl().contains(place));
            browser.see("h1");
            String part = item.part();
            if (part != null && place.matches("/findings|/parts|/strip")) {
                browser.seeText(server.bean(Workshop.class)
                        .load(job)
                        .movement()
                        .requirePart(part)
                        .name());
            }
        }
    }
}
