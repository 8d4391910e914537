package escrel.core.order;

/**
 * Something that has a place in an order. A part, its screws, an oil point and a test of one code are different nodes: sheets of
 * other workshops use one word for all of them.
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

    /** Screws of a fitted part being driven or tightened. */
    record OfScrews(String code) implements Node {}

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

    /** The node of the screws of a part. */
    static Node screws(String part) {
        return new OfScrews(part);
    }
}
