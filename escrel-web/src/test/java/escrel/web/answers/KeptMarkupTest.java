package escrel.web.answers;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.ladder.Ladder;
import escrel.web.testing.EscrelServer;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.thymeleaf.spring6.SpringTemplateEngine;

/** A piece is made once of the same values, anew of others, and is the template's own word each time. */
class KeptMarkupTest {
    // one of its own: what others erase meanwhile is forgotten elsewhere
    private final KeptMarkup kept = new KeptMarkup(EscrelServer.demo().bean(SpringTemplateEngine.class));

    private String rung(String name, int off) {
        Ladder.Rung rung = new Ladder.Rung(
                "kept", name, 1, off, 0, "", 2, 0, false, false, false, false, List.of(), off == 1 ? "off" : "free");
        return kept.of("parts", "rung", Map.of("r", rung, "to", "/jobs/7/strip?part=", "room", "strip"));
    }

    @Test
    void sameValuesGiveWhatWasMadeAndOthersAreMadeAnew() {
        String on = rung("Kept wheel", 0);

        assertThat(rung("Kept wheel", 0)).isSameAs(on);
        assertThat(rung("Kept wheel", 1)).contains("done-left").isNotEqualTo(on);
        assertThat(rung("Kept wheel", 0)).isSameAs(on).doesNotContain("done-left");
    }

    @Test
    void whatWasTypedStaysText() {
        assertThat(rung("<b>wheel</b>", 0)).contains("&lt;b&gt;wheel").doesNotContain("<b>");
    }

    @Test
    void forgottenItIsMadeAnewAndSaysTheSame() {
        String before = rung("Forgotten wheel", 0);

        kept.forget();

        assertThat(rung("Forgotten wheel", 0)).isEqualTo(before).isNotSameAs(before);
    }
}
