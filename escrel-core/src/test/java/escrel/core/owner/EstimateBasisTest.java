package escrel.core.owner;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.owner.EstimateBasis.Past;
import java.util.List;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;

class EstimateBasisTest {
    private static List<Past> hours(double... hours) {
        return DoubleStream.of(hours).mapToObj(h -> new Past(60 * h, 10 * h)).toList();
    }

    @Test
    void middleHalfOfTheServicesIsTheRange() {
        // quartiles of 1..5 are 2 and 4
        EstimateBasis basis = EstimateBasis.of(hours(5, 1, 3, 2, 4), 0, 0);
        assertThat(basis).isEqualTo(new EstimateBasis(5, 2, 4, 30, 0, 0));
        assertThat(basis.estimate(60)).contains(new Estimate(2, 4, 60, 30));
        assertThat(basis.words()).isEqualTo("5 services of it here: half of them took 2 to 4 h at the bench");
    }

    @Test
    void oneThatTookAWeekMovesItLittle() {
        assertThat(EstimateBasis.of(hours(4, 4, 4, 4, 40), 0, 0).hoursHigh()).isEqualTo(4);
    }

    @Test
    void whatWasFoundIsAddedToBothEnds() {
        EstimateBasis basis = EstimateBasis.of(hours(2, 3, 4), 95, 45);
        // 95 minutes are an hour and a half; quartiles 2.5 and 3.5
        assertThat(basis.estimate(60)).contains(new Estimate(4, 5, 60, 45));
        assertThat(basis.words()).endsWith("what was found on this one adds about 1.5 h and 45 for parts");
    }

    @Test
    void tooFewServicesSayNothingOfTheService() {
        assertThat(EstimateBasis.of(hours(2, 3), 0, 0).estimate(60)).isEmpty();
        assertThat(EstimateBasis.of(hours(2, 3), 60, 0).estimate(60)).contains(new Estimate(1, 1, 60, 0));
        assertThat(EstimateBasis.of(List.of(), 0, 0).words()).contains("yours to say");
    }
}
