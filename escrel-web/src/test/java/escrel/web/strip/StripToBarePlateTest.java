package escrel.web.strip;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Hold;
import escrel.core.service.PartOff;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.By;

/** An automatic comes apart from cased to bare plate on the numeric keypad alone. */
@Tag("long")
class StripToBarePlateTest {
    private final EscrelServer server = EscrelServer.demo();

    @Test
    void atMostTwoKeysForAnUneventfulPartAndNoProposalBreaksAHold() {
        int job = new Visitor(server.url()).openJob("Tidewell pilot's automatic", "cv-24");
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/" + job + "/strip");
            List<String> headings = new ArrayList<>();
            while (!browser.text().contains("Bare plate.")) {
                String heading = browser.heading();
                headings.add(heading);
                assertThat(browser.driver().findElements(By.cssSelector(".broken")))
                        .as(heading)
                        .isEmpty();
                browser.keyOnBench('5');
                if (browser.heading().equals(heading) && !browser.text().contains("Bare plate.")) {
                    // a question stood before it: the same key answers
                    browser.keyOnBench('5');
                }
                assertThat(browser.text().contains("Bare plate.")
                                || !browser.heading().equals(heading))
                        .as("two keys for " + heading)
                        .isTrue();
            }
            assertThat(headings).doesNotHaveDuplicates().startsWith("Case back", "Oscillating weight");
        }
        OpenJob open = server.bean(Workshop.class).load(job);
        CalibreSheet sheet = open.requireSheet();
        List<String> order =
                open.history().all(PartOff.class).map(PartOff::part).toList();
        assertThat(order).hasSize(sheet.parts().size());
        assertThat(sheet.holds())
                .filteredOn(h -> h.basis() == Hold.Basis.STATED)
                .allSatisfy(h -> assertThat(order.indexOf(h.by())).isLessThan(order.indexOf(h.part())));
        assertThat(open.job().teardown().isBare()).isTrue();
        assertThat(open.history().all(PartOff.class))
                .allMatch(p -> p.inSpiteOf().isEmpty());
    }
}
