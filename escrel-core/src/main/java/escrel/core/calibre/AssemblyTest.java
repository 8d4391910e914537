package escrel.core.calibre;

import org.jspecify.annotations.Nullable;

/**
 * A test made on the way up, before the next stage covers what it tests.
 *
 * @param after the part that must be on
 * @param before the part that must wait for it, or nothing
 * @param expect what a healthy movement does
 */
public record AssemblyTest(
        String code,
        String name,
        Side side,
        String after,
        @Nullable String before,
        String expect) {
    public AssemblyTest {
        expect = Copies.text(expect);
    }
}
