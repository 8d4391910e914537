package escrel.core.calibre;

/** From where a part is worked on. Coordinates are always seen from the dial; the train side is their mirror. */
public enum Side {
    /** Movement lies with the dial side up. */
    DIAL,
    /** Movement lies with the train side up. */
    TRAIN,
    /** A unit stripped or built in the hand: no turn-over. */
    IN_HAND;

    /** The side a turned-over movement shows; in the hand there is nothing to turn. */
    public Side turned() {
        return this == DIAL ? TRAIN : this == TRAIN ? DIAL : IN_HAND;
    }
}
