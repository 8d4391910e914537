package escrel.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class StepRegisterTest {
    /** A history keeps its steps by their class: one with kinds below it would not be found under its own name. */
    @Test
    void everyKindIsTheClassOfTheStepItself() {
        assertThat(StepRegister.kinds())
                .isNotEmpty()
                .allSatisfy(kind -> assertThat(kind.type().isRecord()).isTrue());
    }
}
