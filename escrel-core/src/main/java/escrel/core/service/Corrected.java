package escrel.core.service;

import java.util.function.UnaryOperator;

/**
 * An earlier step is said otherwise. The earlier one stays on record beside it; everything is computed as if it had been
 * recorded so, at its own place and time. A later correction of the same step goes before an earlier one, and taking the
 * correction back brings the step back as it was.
 *
 * @param sequence the step that is corrected
 * @param step what it should have said, of the same kind
 */
public record Corrected(int sequence, Step step) implements Step {
    public Corrected {
        if (step instanceof Corrected || step instanceof TakenBack) {
            throw new IllegalArgumentException("a correction or a taking-back is taken back, not corrected");
        }
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new Corrected(sequence, step.withParts(code));
    }
}
