package escrel.web.supply;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What of the parts desk was looked at, a page of one heading, is still looked at after an act. */
class DeskLookKeptTest {
    private static final EscrelServer SERVER = EscrelServer.demo();

    private final Visitor visitor = new Visitor(SERVER.url());

    /** By what is done, and by taking that back. */
    @Test
    void pageOfTheHeadingIsKeptAfterAnAct() {
        int job = visitor.openJob("Watch of the second page", "");
        String ordered = visitor.post(
                        "/jobs/" + job + "/wants/new",
                        Map.of("seq", visitor.sequence(job), "what", "Bezel spring", "supplier", "Quay supplies"))
                .uri()
                .getQuery();
        String address = "/parts?" + ordered + "&only=YOURS&page=1";
        String look = hidden(visitor.get(address).body(), "look");

        HttpResponse<String> came = visitor.post(
                "/jobs/" + job + "/wants/" + ordered.substring(ordered.indexOf(':') + 1) + "/came",
                Map.of(
                        "seq",
                        visitor.sequence(job),
                        "order",
                        hidden(visitor.get(address).body(), "order"),
                        "judgement",
                        "UNCHECKED",
                        "look",
                        look));
        assertThat(came.uri()).hasToString(SERVER.url() + address);
        assertThat(came.body()).contains("Earlier in the list");

        HttpResponse<String> undone = visitor.post(
                "/jobs/" + job + "/undo",
                Map.of(
                        "seq",
                        visitor.sequence(job),
                        "room",
                        "inspect",
                        "to",
                        "parts",
                        "at",
                        hidden(came.body(), "at")));
        assertThat(undone.uri()).hasToString(SERVER.url() + address);
        assertThat(undone.body()).contains("Taken back: ");
    }

    @ParameterizedTest
    @ValueSource(strings = {"&only=YOURS#x", "//elsewhere", "&only=NOWHERE", "&only=YOURS&page=1&want=2:o1"})
    void whatIsNoLookLeadsNowhereElse(String look) {
        int job = visitor.openJob("Watch of another address", "");
        HttpResponse<String> ordered = visitor.post(
                "/jobs/" + job + "/wants/new",
                Map.of("seq", visitor.sequence(job), "what", "Spring bar", "supplier", "Quay", "look", look));

        assertThat(ordered.uri().toString()).matches(Pattern.quote(SERVER.url()) + "/parts\\?want=\\d+:o\\d+");
    }

    private static String hidden(String page, String name) {
        Matcher field =
                Pattern.compile("name=\"" + name + "\" value=\"([^\"]*)\"").matcher(page);
        assertThat(field.find()).as(name).isTrue();
        return field.group(1).replace("&amp;", "&");
    }
}
