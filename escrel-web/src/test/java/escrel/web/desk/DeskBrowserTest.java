package escrel.web.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.Source;
import escrel.web.job.Workshop;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Recordings;
import escrel.web.testing.Visitor;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Arrays;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The sound desk in a real browser: a microphone that hears a file, and a simulated watch led through six positions. */
@Tag("long")
class DeskBrowserTest {
    private static final double RATE = 14.5;
    private static final double AMPLITUDE = 262;

    private final EscrelServer server = EscrelServer.demo();

    private ReadingSet set(int job, ReadingState state) {
        return ReadingSet.main(server.bean(Workshop.class).load(job).readings(), state)
                .orElseThrow();
    }

    /** The file is far longer than a reading takes: where it begins again, the beat would break. */
    @Test
    void microphoneIsHeardThroughTheWorklet() {
        int job = new Visitor(server.url()).openJob("Microphone watch", "cv-12");
        Path wav = Recordings.cv12File(RATE, AMPLITUDE, 120);
        try (Browser browser = Browser.hearing(wav)) {
            browser.open(server.url() + "/jobs/" + job + "/desk");
            // one position only
            for (Position other : Position.values()) {
                if (other != Position.DIAL_UP) {
                    browser.click("[data-position=" + other + "] input");
                }
            }
            browser.key('0');
            browser.seeText("Lay the watch as drawn");
            browser.key('0');
            browser.see("#desk-strip .ribbon");
            browser.see("#desk-beat .wave");
            // twelve seconds at least, and begun anew when the machine loses some sound
            browser.seeText("All taken", Duration.ofSeconds(90));
            assertThat(browser.text()).contains("not calibrated").doesNotContain("This is no watch");
        }
        Reading taken = set(job, ReadingState.AS_RECEIVED).in(Position.DIAL_UP).orElseThrow();
        assertThat(taken.source()).isEqualTo(Source.RECORDING);
        assertThat(taken.rateSecondsPerDay().value()).isCloseTo(RATE, within(1.0));
        assertThat(taken.amplitudeDegrees().value()).isCloseTo(AMPLITUDE, within(3.0));
        assertThat(taken.clock().calibrated()).isFalse();
        assertThat(taken.recording()).isEqualTo(1);
    }

    @Test
    void sixPositionsAreTakenWithTheKeyboardAlone() {
        int job = new Visitor(server.url()).openJob("Guided watch", "cv-24");
        try (Browser browser = new Browser()) {
            // the pace is a choice of the page like the source; eight times faster than life spares a minute
            browser.open(server.url() + "/jobs/" + job + "/desk?state=FIRST_RUN&source=simulated:HEALTHY");
            browser.seeText("This is no watch");
            browser.driver().executeScript("document.getElementById('desk-pace').focus()");
            browser.driver().switchTo().activeElement().sendKeys("e");
            browser.key('0');
            for (int taken = 0; taken < 6; taken++) {
                browser.seeText("Lay the watch as drawn");
                int before = taken;
                browser.key('0');
                browser.untilTrue(
                        "the next position after " + before,
                        () -> ((Number) browser.driver()
                                                .executeScript("return document.querySelectorAll('.taken').length"))
                                        .intValue()
                                > before);
            }
            browser.seeText("All taken");
        }
        ReadingSet set = set(job, ReadingState.FIRST_RUN);
        assertThat(set.byPosition().keySet()).containsExactlyInAnyOrder(Position.values());
        assertThat(set.byPosition().values()).allMatch(r -> r.source() == Source.SIMULATED);
        // the simulated watch drops on edge by 28°, a little differently at each edge
        double lying = set.in(Position.DIAL_UP).orElseThrow().amplitudeDegrees().value();
        assertThat(Arrays.stream(Position.values()).filter(p -> !p.isHorizontal()))
                .allSatisfy(p -> assertThat(lying
                                - set.in(p).orElseThrow().amplitudeDegrees().value())
                        .isCloseTo(28, within(6.0)));
        assertThat(lying).isCloseTo(282, within(4.0));
    }
}
