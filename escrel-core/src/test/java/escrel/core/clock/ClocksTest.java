package escrel.core.clock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import escrel.core.clock.Timed.Stretch;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ClocksTest {
    private static final Instant NOON = Instant.parse("2026-03-02T12:00:00Z");
    private static final ClockStarted MACHINE = new ClockStarted(
            "a", "machine", 7, List.of(new Stretch("wash", 480), new Stretch("rinse", 300), new Stretch("dry", 720)));
    private static final ClockStarted FILM =
            new ClockStarted("b", "film dries", null, List.of(new Stretch("dries", 600)));

    private final List<RecordedStep> acts = new ArrayList<>();

    private ClocksTest at(int minutes, Step act) {
        acts.add(new RecordedStep(acts.size() + 1, NOON.plus(Duration.ofMinutes(minutes)), act));
        return this;
    }

    @ParameterizedTest
    @CsvSource({
        "0, 0, 480",
        "479, 0, 1",
        "480, 1, 300",
        "779, 1, 1",
        "780, 2, 720",
        "1499, 2, 1",
        "1500, 2, 0",
        "9999, 2, 0"
    })
    void stretchesFollowUponEachOther(int seconds, int stretch, int left) {
        Timed.Stand stand = MACHINE.at(NOON, NOON.plusSeconds(seconds));
        assertThat(stand.stretch()).isEqualTo(stretch);
        assertThat(stand.left()).isEqualTo(Duration.ofSeconds(left));
        assertThat(stand.isOver()).isEqualTo(left == 0);
        // 480 + 300 + 720 s
        assertThat(MACHINE.length()).isEqualTo(Duration.ofMinutes(25));
    }

    @Test
    void severalRunSideBySideTheFirstToEndInFront() {
        at(0, MACHINE).at(2, FILM);
        Clocks clocks = Clocks.of(acts);
        // the film is dry at 12, the machine at 25 minutes
        assertThat(clocks.running()).extracting(r -> r.clock().id()).containsExactly("b", "a");
        assertThat(clocks.of(7)).extracting(r -> r.clock().id()).containsExactly("a");
        at(13, new ClockEnded("b", true));
        assertThat(Clocks.of(acts).running()).extracting(r -> r.clock().id()).containsExactly("a");
        // one that has run out still waits to be seen to
        assertThat(Clocks.of(acts)
                        .byId("a")
                        .orElseThrow()
                        .at(NOON.plusSeconds(9999))
                        .isOver())
                .isTrue();
        // ended twice, or one nobody set
        at(30, new ClockEnded("a", false)).at(31, new ClockEnded("a", true)).at(32, new ClockEnded("x", true));
        assertThat(Clocks.of(acts).running()).isEmpty();
    }

    @Test
    void clocksHaveBounds() {
        assertThatIllegalArgumentException().isThrownBy(() -> new Stretch("wash", 0));
        assertThatIllegalArgumentException().isThrownBy(() -> new Stretch("wash", 604_801));
        assertThatIllegalArgumentException().isThrownBy(() -> new Stretch(" ", 10));
        assertThatIllegalArgumentException().isThrownBy(() -> new ClockStarted("a", "x", null, List.of()));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new ClockStarted("", "x", null, List.of(new Stretch("s", 1))));
    }

    /** A machine that is slower or quicker than its programme says where it stands. */
    @Test
    void clockFollowsWhoeverDoesTheWork() {
        at(0, MACHINE).at(11, new ClockMoved("a", 1));
        Clocks.Running late = Clocks.of(acts).byId("a").orElseThrow();
        // the wash took 11 minutes instead of 8: rinsing begins now, and has its five minutes
        assertThat(late.at(NOON.plus(Duration.ofMinutes(11))).stretch()).isEqualTo(1);
        assertThat(late.at(NOON.plus(Duration.ofMinutes(11))).left()).isEqualTo(Duration.ofMinutes(5));
        at(12, new ClockMoved("a", 3)).at(12, new ClockMoved("nobody's", 1));
        assertThat(Clocks.of(acts)
                        .byId("a")
                        .orElseThrow()
                        .at(NOON.plus(Duration.ofMinutes(12)))
                        .isOver())
                .isTrue();
        assertThatIllegalArgumentException().isThrownBy(() -> new ClockMoved("a", -1));
    }
}
