package escrel.core.service;

import java.util.function.UnaryOperator;

/**
 * Something happened to a part that is neither coming off nor going on, recorded as honestly as the rest.
 *
 * @param part code on the sheet
 * @param words what exactly
 */
public record Happened(String part, What what, String words) implements Step {
    /** What can happen. */
    public enum What {
        /** It lay loose when the movement was opened. */
        FOUND_LOOSE,
        /** It flew or fell: a search is open until it is found or replaced, and nothing closes over it. */
        LOST,
        FOUND_AGAIN,
        /** Damaged in this service. */
        DAMAGED_NOW,
        /** A pair that stays together was taken apart by mistake. */
        TAKEN_APART,
        /** It was fitted the wrong way round and put right. */
        WRONG_WAY_ROUND
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new Happened(code.apply(part), what, words);
    }
}
