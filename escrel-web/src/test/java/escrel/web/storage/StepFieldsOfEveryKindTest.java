package escrel.web.storage;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.job.StepField;
import escrel.core.job.StepFields;
import escrel.core.service.Step;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every kind of step can be said otherwise in the log, or is known to be said anew elsewhere. */
class StepFieldsOfEveryKindTest {
    @ParameterizedTest
    @MethodSource("escrel.web.storage.StepJsonTest#everyKind")
    void saidAsItStandsItIsWhatItWas(Step step) {
        Map<String, String> said =
                StepFields.of(step).stream().collect(Collectors.toMap(StepField::path, StepField::value));

        assertThat(StepFields.with(step, said)).isEqualTo(step);
    }

    @Test
    void onlyWhatIsSaidAnewElsewhereHasNoFields() {
        List<String> none = StepJsonTest.everyKind()
                .filter(s -> StepFields.of(s).isEmpty())
                .map(s -> s.getClass().getSimpleName())
                .distinct()
                .toList();

        assertThat(none)
                .containsExactlyInAnyOrder(
                        "Arrival",
                        "TakenBack",
                        "Corrected",
                        "CalibreBound",
                        "CaseBound",
                        "PhotosPaired",
                        "PhotoMarked",
                        "SchoolChosen",
                        "CauseSaid",
                        "LumeSeen");
    }
}
