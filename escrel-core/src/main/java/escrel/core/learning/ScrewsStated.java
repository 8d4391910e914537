package escrel.core.learning;

import escrel.core.calibre.ScrewPlace;
import escrel.core.service.Step;
import java.util.function.UnaryOperator;

/**
 * How many screws held a part; the latest counts.
 *
 * @param count 0 to 20
 */
public record ScrewsStated(String part, int count, ScrewPlace.LengthClass length, ScrewPlace.Thread thread)
        implements Step {
    public ScrewsStated {
        if (count < 0 || count > 20) {
            throw new IllegalArgumentException("the number of screws must lie between 0 and 20, was " + count);
        }
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new ScrewsStated(code.apply(part), count, length, thread);
    }
}
