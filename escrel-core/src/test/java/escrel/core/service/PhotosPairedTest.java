package escrel.core.service;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import escrel.core.service.PhotosPaired.Laying;
import escrel.core.service.PhotosPaired.Mark;
import java.time.Instant;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class PhotosPairedTest {
    private static PhotosPaired pair(List<Mark> before, List<Mark> after) {
        return new PhotosPaired(1, 2, before, after, "", false);
    }

    /** Upside down, at half the size: (0.2, 0.2) → (0.6, 0.6) and (0.6, 0.2) → (0.4, 0.6). */
    @Test
    void halfTheSizeAndUpsideDown() {
        Laying laying = pair(
                        List.of(new Mark(0.6, 0.6), new Mark(0.4, 0.6)),
                        List.of(new Mark(0.2, 0.2), new Mark(0.6, 0.2)))
                .laying();

        assertThat(laying.a()).isCloseTo(-0.5, within(1e-12));
        assertThat(laying.b()).isCloseTo(0, within(1e-12));
        assertThat(laying.dx()).isCloseTo(0.7, within(1e-12));
        assertThat(laying.dy()).isCloseTo(0.7, within(1e-12));
    }

    /** Whatever camera took them: a picture turned, scaled and shifted by any amount is brought back by its two marks. */
    @Test
    void anyTurnScaleAndShiftIsFoundAgain() {
        Random random = new Random(7);
        for (int i = 0; i < 200; i++) {
            double turn = 2 * Math.PI * random.nextDouble();
            double scale = 0.4 + random.nextDouble();
            Mark first = new Mark(0.3 + 0.1 * random.nextDouble(), 0.3);
            Mark second = new Mark(0.6, 0.5 + 0.2 * random.nextDouble());
            Mark middle = new Mark(0.45, 0.5);
            List<Mark> before = List.of(moved(first, turn, scale), moved(second, turn, scale));
            Laying laying = pair(before, List.of(first, second)).laying();
            Mark there = moved(middle, turn, scale);

            assertThat(laying.a() * middle.x() - laying.b() * middle.y() + laying.dx())
                    .isCloseTo(there.x(), within(1e-9));
            assertThat(laying.b() * middle.x() + laying.a() * middle.y() + laying.dy())
                    .isCloseTo(there.y(), within(1e-9));
        }
    }

    /** About a point from which nothing leaves the picture. */
    private static Mark moved(Mark m, double turn, double scale) {
        double s = scale * 0.5;
        double x = m.x() - 0.45;
        double y = m.y() - 0.5;
        return new Mark(
                0.5 + s * (Math.cos(turn) * x - Math.sin(turn) * y),
                0.5 + s * (Math.sin(turn) * x + Math.cos(turn) * y));
    }

    @Test
    void marksThatSayNothingAreRefused() {
        List<Mark> apart = List.of(new Mark(0.1, 0.1), new Mark(0.9, 0.9));
        List<Mark> near = List.of(new Mark(0.1, 0.1), new Mark(0.11, 0.1));
        assertThatThrownBy(() -> pair(apart, near)).hasMessageContaining("too near");
        assertThatThrownBy(() -> pair(apart, List.of())).hasMessageContaining("or none");
        assertThatThrownBy(() -> new Mark(1.2, 0)).hasMessageContaining("lies in its picture");
        assertThat(pair(List.of(), List.of()).laying()).isEqualTo(Laying.AS_TAKEN);
    }

    @Test
    void saidAgainTheLatestCounts() {
        PhotosPaired first = new PhotosPaired(1, 2, List.of(), List.of(), "dirty and clean", false);
        PhotosPaired other = new PhotosPaired(1, 3, List.of(), List.of(), "", false);
        PhotosPaired again = new PhotosPaired(1, 2, List.of(), List.of(), "dirty and clean", true);
        JobHistory history = JobHistory.of(List.of(
                new RecordedStep(1, Instant.EPOCH, first),
                new RecordedStep(2, Instant.EPOCH, other),
                new RecordedStep(3, Instant.EPOCH, again)));

        assertThat(PhotosPaired.in(history)).containsExactly(other, again);
    }
}
