package escrel.core.calibre;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

/** What lies under a part as it is drawn. */
class ShapeTest {
    @Test
    void coversWhatLiesUnderIt() {
        Shape wheel = new Shape(Shape.Kind.WHEEL, 3, 4, 2, 60, List.of());
        assertThat(wheel.covers(3, 5.9)).isTrue();
        assertThat(wheel.covers(3, 6.1)).isFalse();

        Shape ring = new Shape(Shape.Kind.RING, 0, 0, 10, 31, List.of());
        assertThat(ring.covers(0, 9)).isTrue();
        assertThat(ring.covers(0, 7.9)).isFalse();
        assertThat(ring.covers(0, 10.1)).isFalse();
    }

    @Test
    void notchOfAnOutlineIsOpen() {
        // a square of four by four with a notch from above down to its middle
        List<double[]> corners = List.of(
                new double[] {0, 0}, new double[] {4, 0}, new double[] {4, 4}, new double[] {2, 2}, new double[] {0, 4
                });
        Shape bridge = new Shape(Shape.Kind.OUTLINE, 0, 0, 0, 0, corners);
        assertThat(bridge.covers(2, 1)).isTrue();
        assertThat(bridge.covers(0.5, 3)).isTrue();
        assertThat(bridge.covers(2, 3)).isFalse();
        assertThat(bridge.covers(5, 1)).isFalse();
    }

    @Test
    void springOrPinCoversNothing() {
        assertThat(Shape.pin(1, 1).covers(1, 1)).isFalse();
        Shape spring = new Shape(
                Shape.Kind.LINE, 0, 0, 0, 0, List.of(new double[] {0, 0}, new double[] {4, 0}, new double[] {4, 4}));
        assertThat(spring.covers(3, 1)).isFalse();
    }
}
