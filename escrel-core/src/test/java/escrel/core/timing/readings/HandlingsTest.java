package escrel.core.timing.readings;

import static escrel.core.timing.readings.Position.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.List;
import org.junit.jupiter.api.Test;

class HandlingsTest {
    @Test
    void allSixTakeFiveQuarterTurns() {
        List<Position> order = Handlings.order(List.of(Position.values()));

        assertThat(order).hasSize(6).startsWith(DIAL_UP).doesNotHaveDuplicates();
        assertThat(Handlings.quarterTurns(order)).isEqualTo(5);
    }

    @Test
    void noOtherOrderIsShorter() {
        // every set of positions: one less than its size is the least there can be, but for two opposite ones
        for (int bits = 1; bits < 64; bits++) {
            EnumSet<Position> some = EnumSet.noneOf(Position.class);
            for (Position position : Position.values()) {
                if ((bits >> position.ordinal() & 1) == 1) {
                    some.add(position);
                }
            }
            List<Position> order = Handlings.order(some);
            assertThat(order).containsExactlyInAnyOrderElementsOf(some);
            int least = some.equals(EnumSet.of(DIAL_UP, DIAL_DOWN))
                            || some.equals(EnumSet.of(CROWN_UP, CROWN_DOWN))
                            || some.equals(EnumSet.of(CROWN_LEFT, CROWN_RIGHT))
                    ? 2
                    : some.size() - 1;
            assertThat(Handlings.quarterTurns(order)).as("%s", some).isBetween(least, least + 1);
        }
        assertThat(Handlings.order(List.of())).isEmpty();
    }
}
