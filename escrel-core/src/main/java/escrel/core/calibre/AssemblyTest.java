package escrel.core.calibre;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * A test made on the way up, before the next stage covers what it tests.
 *
 * @param after the part that must be on
 * @param before the part that must wait for it, or nothing
 * @param expect what a healthy movement does
 * @param proof what settles it
 */
public record AssemblyTest(
        String code,
        String name,
        Side side,
        String after,
        @Nullable String before,
        String expect,
        Proof proof) {
    /** What settles a test. */
    public enum Proof {
        /** Eye and hand: whoever made it says so. */
        SEEN,
        /** Eye and hand, after winding a little: it raises the power. */
        WOUND,
        /** A reading and nothing else: a figure cannot be said with a key. */
        READING,
        /** The running movement drawn through the demagnetiser. */
        DEMAGNETISED
    }

    public AssemblyTest {
        expect = Copies.text(expect);
        proof = proof == null ? Proof.SEEN : proof;
    }

    /** Whether it is tried whether the date changes near midnight, by what it is called. */
    public boolean isDateChange() {
        String words = name.toLowerCase(Locale.ROOT);
        return words.contains("date") && (words.contains("jump") || words.contains("change"));
    }

    /** A test of eye and hand. */
    public AssemblyTest(String code, String name, Side side, String after, @Nullable String before, String expect) {
        this(code, name, side, after, before, expect, Proof.SEEN);
    }
}
