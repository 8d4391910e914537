package escrel.web;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.handover.Stage;
import escrel.core.service.PartOff;
import escrel.core.timing.readings.Demagnetised;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import org.junit.jupiter.api.Test;

/** A watch that is only demagnetised, its calibre unknown, from the parcel to the owner's report: nothing is opened. */
class DemagnetiseOnlyTest {
    private final EscrelServer server = EscrelServer.demo();

    private OpenJob load(int job) {
        return server.bean(Workshop.class).load(job);
    }

    private void read(Browser browser, int job, String rate, String amplitude) {
        browser.seeText("Read dial up");
        int before = load(job).sequence();
        browser.key('8');
        browser.type("form[action$='/typed'] [name=rate]", rate);
        browser.type("form[action$='/typed'] [name=amplitude]", amplitude);
        browser.enter();
        browser.untilTrue("the reading to be recorded", () -> load(job).sequence() > before);
        browser.seeText("Read dial down");
    }

    @Test
    void toTheOwnersReportWithTheCalibreUnknown() {
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/");
            browser.key('+');
            browser.type("[name=watch]", "Lanthorn deck watch");
            browser.type("[name=owner]", "mate, ferry Auk");
            browser.type("[name=complaint]", "fast since it lay on a loudspeaker");
            browser.click("label:has([name=work][value=DEMAGNETISE])");
            browser.click("main button.main");
            browser.seeText("Lanthorn deck watch");
            int job = Integer.parseInt(browser.driver().getCurrentUrl().replaceAll(".*/jobs/(\\d+).*", "$1"));
            assertThat(load(job).job().nextAct()).isEqualTo("take the readings as received");

            browser.click("nav a[href$='/readings']");
            read(browser, job, "310", "205");
            browser.click("button[name=follows][value=STRONGLY]");
            browser.seeText("the needle follows strongly");
            assertThat(load(job).job().nextAct()).contains("demagnetise");
            browser.click("form[action$='/demagnetised'] button");
            browser.untilTrue(
                    "the watch to be demagnetised",
                    () -> load(job).history().last(Demagnetised.class).isPresent());
            read(browser, job, "12", "262");
            browser.click("button[name=follows][value=NOT]");
            browser.seeText("the needle does not follow");

            browser.click("nav a[href$='/turn']");
            browser.seeText("better beyond the noise");
            browser.click("nav a[href$='/handover']");
            browser.seeText("Every account balances");
            browser.key('5');
            browser.type("#to-whom", "with the evening ferry");
            browser.enter();
            browser.seeText("It went back");

            assertThat(load(job).stage()).isEqualTo(Stage.HANDED_OVER);
            assertThat(load(job).history().all(PartOff.class)).isEmpty();
            String report =
                    new Visitor(server.url()).get("/jobs/" + job + "/report").body();
            assertThat(report)
                    .contains(
                            "Lanthorn deck watch",
                            "demagnetised in 3 passes → the needle does not follow",
                            "+310",
                            "+12",
                            "with the evening ferry")
                    .as("what was not done is not told as done")
                    .doesNotContain("Cleaned", "lubrication points");
        }
    }
}
