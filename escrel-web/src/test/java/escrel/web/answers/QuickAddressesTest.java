package escrel.web.answers;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.http.server.PathContainer;
import org.springframework.web.util.pattern.PathPatternParser;

class QuickAddressesTest {
    /** What is ruled out is no match by the framework's own word either; what is one is never ruled out. */
    @ParameterizedTest
    @CsvSource({
        "/jobs/{number}/strip, /jobs/3/strip, true",
        "/jobs/{number}/strip, /jobs/3/climb, false",
        "/jobs/{number}/strip, /jobs/3/strip/, false",
        "/jobs/{number}/strip, /jobs/3/str%69p, true",
        "/jobs/{number}/strip, /jobs/3, false",
        "/jobs/{number}, /jobs/3, true",
        "/jobs/{number}/photos/{k}, /jobs/3/photos/9, true",
        "/jobs/{number}/photos/{k}, /jobs/3/photos/9/small, false",
        "/jobs/{n}/photos/{k}.jpg, /jobs/3/photos/9.jpg, true",
        "/watches, /watches, true",
        "/watches, /, false",
        "/assets/**, /assets/a/b.css, true",
        "/calibres/{id:[a-z]+}, /calibres/abc, true",
        "/, /, true"
    })
    void rulesOutOnlyWhatIsNoMatch(String pattern, String address, boolean matches) {
        PathContainer path = PathContainer.parsePath(address);

        assertThat(new PathPatternParser().parse(pattern).matches(path)).isEqualTo(matches);
        boolean mayBe = QuickAddresses.Shape.of(Set.of(pattern)).mayBe(path.elements());
        assertThat(mayBe || !matches).isTrue();
    }

    @Test
    void mostAreRuledOutByTheirLastPieceOrTheirNumber() {
        QuickAddresses.Shape strip = QuickAddresses.Shape.of(Set.of("/jobs/{number}/strip"));

        assertThat(strip.mayBe(PathContainer.parsePath("/jobs/3/climb").elements()))
                .isFalse();
        assertThat(strip.mayBe(PathContainer.parsePath("/jobs/3").elements())).isFalse();
        assertThat(QuickAddresses.Shape.of(Set.of("/a", "/b/c"))
                        .mayBe(PathContainer.parsePath("/x/y/z").elements()))
                .isTrue();
    }
}
