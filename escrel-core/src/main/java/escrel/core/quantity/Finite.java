package escrel.core.quantity;

/** Refusals shared by the quantities: a slip in a number is named with its value and bound. */
final class Finite {
    private Finite() {}

    static void require(String name, double value) {
        if (!Double.isFinite(value)) {
            throw new IllegalArgumentException(name + " must be a finite number, was " + value);
        }
    }

    static void requirePositive(String name, double value) {
        require(name, value);
        if (value <= 0) {
            throw new IllegalArgumentException(name + " must be above 0, was " + value);
        }
    }

    static void requireNotNegative(String name, double value) {
        require(name, value);
        if (value < 0) {
            throw new IllegalArgumentException(name + " must not be below 0, was " + value);
        }
    }
}
