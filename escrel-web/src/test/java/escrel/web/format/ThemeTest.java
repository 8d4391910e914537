package escrel.web.format;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.net.http.HttpResponse;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** At a dim bench no page flashes white; and what never changes is asked for once. */
class ThemeTest {
    private final Visitor visitor = new Visitor(EscrelServer.demo().url());

    @ParameterizedTest
    @CsvSource({"/, 200", "/jobs/999999/strip, 404", "/nowhere, 404", "/jobs?stage=NOWHERE, 422"})
    void everyPageComesInTheChosenTheme(String path, int status) {
        HttpResponse<String> lamp = visitor.get(path, "Cookie", "theme=lamp");
        assertThat(lamp.statusCode()).isEqualTo(status);
        assertThat(lamp.body()).contains("data-theme=\"lamp\"");
        assertThat(visitor.get(path, "Cookie", "theme=neon").body()).contains("data-theme=\"paper\"");
    }

    @ParameterizedTest
    @ValueSource(strings = {"escrel", "htmx"})
    void assetsWithTheirHashAreKeptForGood(String name) {
        Matcher asset = Pattern.compile("/assets/" + name + "-[0-9a-f]{32}\\.(js|css)")
                .matcher(visitor.get("/").body());
        assertThat(asset.find()).isTrue();
        assertThat(visitor.get(asset.group()).headers().firstValue("Cache-Control"))
                .hasValueSatisfying(v -> assertThat(v).contains("immutable", "max-age=31536000"));
        assertThat(visitor.get("/assets/" + name + ".js").headers().firstValue("Cache-Control"))
                .hasValueSatisfying(v -> assertThat(v).doesNotContain("immutable"));
    }
}
