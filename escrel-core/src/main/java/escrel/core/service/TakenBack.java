package escrel.core.service;

/**
 * Takes an earlier step back. The earlier step stays on record; it only no longer counts.
 *
 * @param sequence the step that no longer counts
 */
public record TakenBack(int sequence) implements Step {
    @Override
    public boolean canBeTakenBack() {
        return false;
    }
}
