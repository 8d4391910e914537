package escrel.core.watchcase;

import escrel.core.service.Step;

/**
 * The job's watch is in this case, by its reference; the latest counts.
 *
 * @param sheet id of the case sheet
 * @param version of it, 1 for the first
 */
public record CaseBound(String sheet, int version) implements Step {
    @Override
    public boolean canBeTakenBack() {
        return false;
    }
}
