package escrel.core.service;

/**
 * The job is bound to a sheet, now or later; steps already recorded stay.
 *
 * @param calibre id of the sheet
 * @param version of the sheet, 1 for the first
 */
public record CalibreBound(String calibre, int version) implements Step {
    @Override
    public boolean canBeTakenBack() {
        return false;
    }
}
