package escrel.core.supply;

import escrel.core.service.Step;
import java.time.LocalDate;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * Something was ordered, or sent out to be worked on. Source: craft 2.10.
 *
 * @param kind a part to come, or work outside
 * @param finding key of the finding it settles; nothing for what no finding asks for (a strap, a gasket)
 * @param part code on the sheet; nothing where it is no part of it
 * @param what in words, 1 to {@value #LONGEST} characters
 * @param supplier whom it was ordered of, or who works on it
 * @param number of the part, as the workshop or the supplier calls it; nothing without one
 * @param size dimensions it was ordered in; nothing where none were said
 * @param price agreed, in the workshop's money, 0 to {@value #DEAREST}; nothing where it is not known
 * @param expected the day it was promised for; nothing where none was
 */
public record Ordered(
        Kind kind,
        @Nullable String finding,
        @Nullable String part,
        String what,
        String supplier,
        @Nullable String number,
        @Nullable String size,
        @Nullable Double price,
        @Nullable LocalDate expected)
        implements Step {
    /** Longest text of any of its words. */
    public static final int LONGEST = 200;

    /** Highest price. */
    public static final double DEAREST = 1_000_000;

    /** What kind of order. */
    public enum Kind {
        /** A part is to come. */
        PART,
        /** A part went out, and is to come back worked on. */
        WORK
    }

    public Ordered {
        finding = Texts.orNothing(finding);
        part = Texts.orNothing(part);
        number = Texts.bounded("A number", number);
        size = Texts.bounded("A size", size);
        what = Texts.required("What it is", what);
        supplier = Texts.required(kind == Kind.PART ? "Whom it is ordered of" : "Who works on it", supplier);
        if (price != null && !(price >= 0 && price <= DEAREST)) {
            throw new IllegalArgumentException("A price lies between 0 and 1 000 000");
        }
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new Ordered(
                kind, finding, part == null ? null : code.apply(part), what, supplier, number, size, price, expected);
    }
}
