package escrel.core.casework;

import escrel.core.service.Step;
import org.jspecify.annotations.Nullable;

/**
 * The parcel that goes back; the latest counts. Source: craft 2.18.
 *
 * @param carrier who takes it, or to whom it is given
 * @param packing how it is packed; may be empty
 * @param cost in the workshop's money, 0 to 1 000 000; nothing where it was not said
 * @param contents what is in it beside the watch; may be empty
 */
public record ParcelSent(
        String carrier, String packing, @Nullable Double cost, String contents) implements Step {
    public ParcelSent {
        carrier = carrier == null ? "" : carrier.strip();
        packing = packing == null ? "" : packing.strip();
        contents = contents == null ? "" : contents.strip();
        if (carrier.isEmpty()) {
            throw new IllegalArgumentException("Who takes it is not said");
        }
        if ((carrier + packing + contents).length() > CaseWorked.LONGEST) {
            throw new IllegalArgumentException("The parcel is told in at most " + CaseWorked.LONGEST + " characters");
        }
        if (cost != null && !(cost >= 0 && cost <= 1_000_000)) {
            throw new IllegalArgumentException("A cost lies between 0 and 1 000 000");
        }
    }

    /** In words, without the cost, which is the workshop's. */
    public String said() {
        return "Parcel: " + carrier + (packing.isEmpty() ? "" : ", " + packing)
                + (contents.isEmpty() ? "" : "; with it " + contents);
    }
}
