package escrel.core.service;

import java.util.function.UnaryOperator;

/**
 * The movement is opened only as far as one part: a partial service. Ends when another is planned, or the whole.
 *
 * @param target code of the part, or empty for the whole movement again
 * @param reason in words
 */
public record WayInPlanned(String target, String reason) implements Step {
    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new WayInPlanned(target.isEmpty() ? target : code.apply(target), reason);
    }
}
