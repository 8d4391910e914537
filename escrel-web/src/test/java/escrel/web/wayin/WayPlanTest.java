package escrel.web.wayin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.entry;

import escrel.core.calibre.Group;
import escrel.core.calibre.Side;
import escrel.web.testing.BenchHand;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The way in as it is drawn: the numbers on the plan are those of the list. */
class WayPlanTest {
    private static final Pattern SPOT =
            Pattern.compile("class=\"spot still\"[^>]*><circle[^>]*><title>([^<]*)</title></circle><text[^>]*>(\\d+)<");
    private static final Pattern LINE = Pattern.compile("<td class=\"num\">(\\d+)</td><td><b>([^<]*)</b>");

    private final Visitor visitor = new Visitor(EscrelServer.demo().url());

    private static Map<Integer, String> found(Pattern pattern, String page, int number, int name) {
        Map<Integer, String> found = new TreeMap<>();
        Matcher matcher = pattern.matcher(page);
        while (matcher.find()) {
            found.put(Integer.valueOf(matcher.group(number)), matcher.group(name));
        }
        return found;
    }

    @ParameterizedTest
    @CsvSource({
        "cv-12, mainspring, Balance with cock, train side",
        "cv-12, minute-wheel, Minute wheel, dial side",
        "cv-24, click-spring, Ratchet wheel, train side"
    })
    void numbersOnThePlanAreThoseOfTheList(String calibre, String target, String part, String side) {
        int job = visitor.openJob("Watch with a way in", calibre);
        String page = visitor.get("/jobs/" + job + "/way?part=" + target).body();
        String in = page.substring(0, page.indexOf("<h2>Out again</h2>"));

        Map<Integer, String> spots = found(SPOT, in, 2, 1);
        assertThat(spots).containsValue(part);
        assertThat(found(LINE, in, 1, 2)).containsAllEntriesOf(spots);
        assertThat(in).contains(", " + side + "\"").doesNotContain("hx-get=\"\"");
    }

    @Test
    void whatIsOffAlreadyHasNoNumber() {
        int job = visitor.openJob("Watch opened a little", "cv-24");
        BenchHand hand = new BenchHand(EscrelServer.demo(), job);
        String address = "/jobs/" + job + "/way?part=click-spring";
        assertThat(found(SPOT, visitor.get(address).body(), 2, 1)).containsValue("Oscillating weight");

        hand.off("case-back");
        hand.off("weight");

        assertThat(found(SPOT, visitor.get(address).body(), 2, 1))
                .doesNotContainValue("Oscillating weight")
                .containsEntry(1, "Automatic module");
    }

    /** Of a movement nobody knows what was named has a place once it is pinned. */
    @Test
    void movementNobodyKnowsIsDrawnAsFarAsItIsPinned() {
        int job = visitor.openJob("Watch of no known calibre", "");
        BenchHand hand = new BenchHand(EscrelServer.demo(), job);
        assertThat(visitor.get("/jobs/" + job + "/way").body()).contains("is not known yet");
        String bridge = hand.name("Bridge over all", Group.TRAIN, Side.TRAIN);
        String address = "/jobs/" + job + "/way?part=" + bridge;
        assertThat(visitor.get(address).body()).contains("Bridge over all").doesNotContain("way-plans");

        hand.pin(bridge, Side.TRAIN, 0.3, 0.2);

        assertThat(found(SPOT, visitor.get(address).body(), 2, 1)).containsExactly(entry(1, "Bridge over all"));
    }
}
