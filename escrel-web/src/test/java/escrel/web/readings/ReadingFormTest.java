package escrel.web.readings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.MendableException;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.web.format.Show;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** M5: what is typed is a value, a range, or a bound, and is kept and shown as what it is. */
class ReadingFormTest {
    private static Reading typed(String amplitude, String beatError) {
        return new ReadingForm(null, amplitude, beatError, null, null)
                .reading(Position.DIAL_UP, LiftAngle.ASSUMED_52, BeatRate.of(18_000));
    }

    @ParameterizedTest
    @CsvSource({
        "285, UNSTATED, 285",
        "250..262, HALF_WIDTH, 250 … 262",
        "262 to 250, HALF_WIDTH, 250 … 262",
        "above 300, ABOVE, above 300",
        "Over 300, ABOVE, above 300",
        "> 300, ABOVE, above 300",
        ">300, ABOVE, above 300",
        "below 180, BELOW, below 180",
        "under 180, BELOW, below 180",
        "<180, BELOW, below 180"
    })
    void amplitude(String words, Measured.Kind kind, String shown) {
        Measured amplitude = typed(words, "").amplitudeDegrees();

        assertThat(amplitude).isNotNull();
        assertThat(amplitude.kind()).isEqualTo(kind);
        assertThat(new Show().amplitude(amplitude)).isEqualTo(shown);
    }

    @ParameterizedTest
    @CsvSource({"'< 1,0', below 1.0", "'below 0.5', below 0.5", "'0.4', 0.4"})
    void beatError(String words, String shown) {
        assertThat(new Show().beatError(typed("", words).beatErrorMillis())).isEqualTo(shown);
    }

    @ParameterizedTest
    @CsvSource({
        "above, neither a number",
        "above 900, lies outside",
        "300 or so, neither a number",
        "<>3, neither a number"
    })
    void oddWordsAreRefusedInWords(String words, String why) {
        assertThatThrownBy(() -> typed(words, ""))
                .isInstanceOf(MendableException.class)
                .hasMessageContaining(why);
    }
}
