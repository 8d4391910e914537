package escrel.core.teardown;

/**
 * The workshop's habits as far as they change an order. Where good people differ the app names the choice.
 *
 * @param afterDial what comes first once the dial is off; without shock settings the balance does, always
 * @param cannonPinion when it is drawn
 */
public record Schools(AfterDial afterDial, CannonPinion cannonPinion) {
    /** What first once the dial is off. */
    public enum AfterDial {
        /** Nothing can slip onto the balance. */
        BALANCE_FIRST,
        /** One handling less under tension. */
        POWER_DOWN_FIRST
    }

    /** When the cannon pinion is drawn. */
    public enum CannonPinion {
        /** Protects the teeth of the minute wheel. */
        AFTER_MINUTE_WHEEL,
        /** Before anything else of the motion work. */
        FIRST
    }

    /** The habits a new workshop starts with. */
    public static final Schools DEFAULT = new Schools(AfterDial.BALANCE_FIRST, CannonPinion.AFTER_MINUTE_WHEEL);
}
