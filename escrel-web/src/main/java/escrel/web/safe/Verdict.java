package escrel.web.safe;

import escrel.web.upkeep.BackupPlan;
import escrel.web.upkeep.Backups;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * What would be lost if the disk died now, in a sentence.
 *
 * @param good whether that is no more than the plan allows
 */
record Verdict(boolean good, String words) {
    static Verdict of(Optional<Backups.Kept> newest, BackupPlan plan, boolean sameDisk, Instant now) {
        if (newest.isEmpty()) {
            return new Verdict(false, "If this disk died now, everything would be lost: there is no backup yet.");
        }
        Duration age = Duration.between(newest.get().at(), now);
        boolean late = plan.hours() > 0 && age.toHours() > 2L * plan.hours();
        String lost = "what was recorded in the last " + span(age) + " would be lost";
        return sameDisk
                ? new Verdict(
                        false,
                        "The newest backup is " + span(age)
                                + " old, but it lies on the same disk as the workshop: it helps against a slip, not against"
                                + " a dead disk.")
                : new Verdict(!late, "If the workshop's disk died now, " + lost + ".");
    }

    private static String span(Duration age) {
        long minutes = Math.max(1, age.toMinutes());
        if (minutes < 120) {
            return minutes + (minutes == 1 ? " minute" : " minutes");
        }
        long hours = age.toHours();
        return hours < 48 ? hours + " hours" : age.toDays() + " days";
    }
}
