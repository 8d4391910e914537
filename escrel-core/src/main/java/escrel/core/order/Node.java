package escrel.core.order;

/**
 * Something that has a place in an order. A part, an oil point and a test of one code are three different nodes: sheets of
 * other workshops use one word for all three.
 */
public sealed interface Node {
    /** Its code on the sheet. */
    String code();

    /** A part going on or coming off, or the power being let down. */
    record OfPart(String code) implements Node {}

    /** A lubrication point being done. */
    record OfPoint(String code) implements Node {}

    /** A test being made. */
    record OfTest(String code) implements Node {}

    /** The node of a part. */
    static Node part(String code) {
        return new OfPart(code);
    }

    /** The node of a lubrication point. */
    static Node point(String code) {
        return new OfPoint(code);
    }

    /** The node of a test. */
    static Node test(String code) {
        return new OfTest(code);
    }
}
