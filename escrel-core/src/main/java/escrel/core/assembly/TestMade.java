package escrel.core.assembly;

import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Side;
import escrel.core.service.Step;
import org.jspecify.annotations.Nullable;

/**
 * A test on the way up was made, or passed over with a reason.
 *
 * @param test code on the sheet
 * @param words what was seen, or the reason for passing it over
 */
public record TestMade(String test, Outcome outcome, String words) implements Step {
    /** How a test ended. A failed one stays open. */
    public enum Outcome {
        PASSED,
        FAILED,
        PASSED_OVER
    }

    /** A test that winds a little leaves the power up, however it ends. */
    @Override
    public Effect effect(CalibreSheet sheet) {
        boolean winds = outcome != Outcome.PASSED_OVER
                && sheet.test(test)
                        .filter(t -> t.proof() == AssemblyTest.Proof.WOUND)
                        .isPresent();
        return winds ? Effect.WINDS : Effect.NONE;
    }

    @Override
    public @Nullable Side workedOn(CalibreSheet sheet) {
        return outcome == Outcome.PASSED_OVER
                ? null
                : sheet.test(test).map(AssemblyTest::side).orElse(null);
    }
}
