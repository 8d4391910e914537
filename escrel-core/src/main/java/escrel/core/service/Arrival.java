package escrel.core.service;

/**
 * The watch as it arrived. Recorded again when something is corrected; the latest counts.
 *
 * @param watch what it is called on the bench
 * @param owner by role and place
 * @param contact how to reach them
 * @param complaint what they ask for, in their words
 * @param condition of the outside, and what came in the parcel
 * @param marks serials, hallmarks, earlier repairers' marks
 */
public record Arrival(
        String watch,
        String owner,
        String contact,
        String maker,
        String reference,
        String complaint,
        Stance stance,
        String condition,
        String marks)
        implements Step {
    @Override
    public boolean canBeTakenBack() {
        return false;
    }
}
