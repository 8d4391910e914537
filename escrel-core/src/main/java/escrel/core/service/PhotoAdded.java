package escrel.core.service;

import escrel.core.calibre.Side;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * A photo was taken. The state of the movement it shows is the one at this step.
 *
 * @param photo number of the stored picture within the job
 * @param part what it shows, or nothing
 * @param caption in words, may be empty
 * @param side which side lay up, or nothing
 */
public record PhotoAdded(
        int photo,
        @Nullable String part,
        String caption,
        @Nullable Side side) implements Step {
    /** A photo of the watch as a whole, or of a part whichever side lies up. */
    public PhotoAdded(int photo, @Nullable String part, String caption) {
        this(photo, part, caption, null);
    }

    @Override
    public boolean standsForItself() {
        return true;
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return part == null ? this : new PhotoAdded(photo, code.apply(part), caption, side);
    }
}
