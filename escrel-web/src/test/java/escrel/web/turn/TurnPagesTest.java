package escrel.web.turn;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;

/** The turn of any two states, its pictures, and what is expected of a calibre. */
class TurnPagesTest {
    private final EscrelServer server = EscrelServer.demo();
    private final Visitor visitor = new Visitor(server.url());

    @Test
    void creditsTheServiceWithWhatCameAfterDemagnetising() {
        assertThat(visitor.get("/jobs/2/turn").body())
                .contains(">after demagnetising, cased<", ">run in, cased<", "not counted for the");
    }

    @Test
    void laysAnyTwoStatesSideBySideAndTheLastServiceOfTheSameWatchToo() {
        String choices = visitor.get("/jobs/2/turn").body();
        assertThat(choices)
                .contains("value=\"11:FINAL_CASED-CASED-FULL\"", "job 11, final, cased")
                .doesNotContain("job 17");

        assertThat(visitor.get("/jobs/2/turn?before=11:FINAL_CASED-CASED-FULL&after=RUN_IN")
                        .body())
                .contains(">final, cased<", ">run in, cased<", "beyond the noise");
        assertThat(visitor.get("/jobs/4/turn?before=FINAL_CASED-CASED-FULL&after=FINAL_CASED-CASED-AFTER_24_H")
                        .body())
                .contains("wound 24 h ago", "Laid side by side, not compared: not equally far wound");
    }

    @Test
    void pictureCarriesAllItNeeds() {
        HttpResponse<String> svg = visitor.get("/jobs/2/turn.svg?figure=AMPLITUDE");

        assertThat(svg.headers().firstValue("content-type").orElseThrow()).startsWith("image/svg+xml");
        assertThat(svg.headers().firstValue("content-security-policy").orElseThrow())
                .doesNotContain("script");
        assertThat(svg.body())
                .startsWith("<svg")
                .contains("data:font/woff2;base64,", "Tidewell purser", "healthy lying")
                .doesNotContain("href", "url(\"/", "class=\"nothing-yet");
        assertThat(visitor.get("/jobs/8/turn.svg").statusCode()).isEqualTo(422);
    }

    @Test
    void pngIsDrawnFromTheSamePicture() {
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/jobs/2/turn");
            browser.see("a[data-png]");
            Object saved = browser.driver().executeAsyncScript("""
                    const done = arguments[0];
                    const make = HTMLCanvasElement.prototype.toBlob;
                    HTMLCanvasElement.prototype.toBlob = function (then) {
                      const pixels = this.getContext("2d").getImageData(0, 0, this.width, this.height).data;
                      const colours = new Set();
                      for (let i = 0; i < pixels.length; i += 404) colours.add(pixels[i] * 65536 + pixels[i + 1]);
                      make.call(this, (blob) => done(`${blob.type} ${this.width} ${colours.size > 4}`));
                    };
                    document.querySelector("a[data-png]").click();""");
            assertThat(saved).isEqualTo("image/png 2000 true");
        }
    }

    @Test
    void expectationsNeedThreeServicesAndMarkThisWatch() {
        assertThat(visitor.get("/jobs/2/expected").body())
                .contains("4 services with final readings", "this watch", "mean rate", "largest beat error");
        assertThat(visitor.get("/jobs/9/expected").body()).contains("Too few services");
    }

    @Test
    void clockOfTheRunInIsSeenOnTheFirstPageAndItsCurvesOnTheirOwn() {
        assertThat(visitor.get("/").body()).containsPattern("run-in reading after a day: in [345] h");
        assertThat(visitor.get("/jobs/2/running").body())
                .contains("Rate, s/d, over hours", "run-in reading after a day");
        assertThat(visitor.get("/jobs/4/running").body())
                .containsPattern("until it was opened again: a new part arrived</td>[^A-Z]*24 h</td>[^A-Z]*−8\\d\\.");
        assertThat(visitor.get("/jobs/8/running").body()).contains("Nothing has been read since assembly");
    }
}
