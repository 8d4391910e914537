package escrel.core.parts;

import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.service.JobHistory;
import escrel.core.service.RecordedStep;
import escrel.core.teardown.PartOff;
import escrel.core.teardown.ScrewsFound;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The findings of a job: those raised in words, and those that a teardown step itself raises (a part found in grade 3 or
 * worse or marked for replacement, a screw missing, foreign or damaged). A step that raises two has two keys.
 */
public final class Findings {
    private final List<Finding> all;

    private Findings(List<Finding> all) {
        this.all = List.copyOf(all);
    }

    /** The findings after these steps, in the order in which they were raised. */
    public static Findings of(JobHistory history) {
        Map<String, Decided> decisions = new HashMap<>();
        history.all(Decided.class).forEach(d -> decisions.put(d.finding(), d));
        List<Finding> found = new ArrayList<>();
        for (RecordedStep entry : history.counting()) {
            String key = String.valueOf(entry.sequence());
            if (entry.step() instanceof FindingRaised raised) {
                found.add(new Finding(
                        key,
                        entry.at(),
                        raised.part(),
                        raised.grade(),
                        raised.defect(),
                        raised.origin(),
                        raised.words(),
                        decisions.get(key)));
            } else if (entry.step() instanceof PartOff off) {
                fromTeardown(entry.at(), key, off, decisions, found);
            } else if (entry.step() instanceof Happened event) {
                happened(entry.at(), key, event, decisions, found);
            }
        }
        return new Findings(found);
    }

    private static void fromTeardown(
            Instant at, String key, PartOff off, Map<String, Decided> decisions, List<Finding> found) {
        boolean replace = off.plan() == PartOff.Plan.REPLACE;
        if (off.asFound().needsDecision() || replace) {
            String words = replace ? join("to be replaced", off.note()) : off.note();
            Grade grade = off.asFound().needsDecision() ? off.asFound() : Grade.MEND;
            found.add(made(at, key, off.part(), grade, Defect.OTHER, words, decisions.get(key)));
        }
        if (off.screws() != ScrewsFound.AS_ON_SHEET) {
            String screwKey = key + Finding.SCREW_SUFFIX;
            Grade grade = off.screws() == ScrewsFound.ONE_MISSING ? Grade.MISSING : Grade.MEND;
            Defect defect = switch (off.screws()) {
                case ONE_MISSING -> Defect.ABSENT;
                case ONE_FOREIGN -> Defect.WRONG_PART;
                default -> Defect.SCORED;
            };
            String words = switch (off.screws()) {
                case ONE_MISSING -> "one screw missing";
                case ONE_FOREIGN -> "one screw is not of this calibre";
                default -> "one screw damaged";
            };
            found.add(made(at, screwKey, off.part(), grade, defect, words, decisions.get(screwKey)));
        }
    }

    private static void happened(
            Instant at, String key, Happened event, Map<String, Decided> decisions, List<Finding> found) {
        if (event.what() == Happened.What.FOUND_AGAIN) {
            // found again: nothing is left to decide about the loss
            found.removeIf(f -> event.part().equals(f.part())
                    && f.grade() == Grade.MISSING
                    && f.origin() == Origin.THIS_SERVICE
                    && f.isOpen());
            return;
        }
        Grade grade = switch (event.what()) {
            case LOST -> Grade.MISSING;
            case FOUND_LOOSE -> Grade.WORN;
            default -> Grade.MEND;
        };
        Defect defect = switch (event.what()) {
            case LOST -> Defect.ABSENT;
            case FOUND_LOOSE -> Defect.LOOSE;
            default -> Defect.OTHER;
        };
        Origin origin = event.what() == Happened.What.FOUND_LOOSE ? Origin.UNKNOWN : Origin.THIS_SERVICE;
        String words = switch (event.what()) {
            case LOST -> "lost while stripping";
            case FOUND_LOOSE -> "lay loose";
            case DAMAGED_NOW -> "damaged in this service";
            default -> "taken apart by mistake";
        };
        found.add(new Finding(
                key, at, event.part(), grade, defect, origin, join(words, event.words()), decisions.get(key)));
    }

    private static String join(String first, String second) {
        return second.isBlank() ? first : first + ": " + second;
    }

    private static Finding made(
            Instant at, String key, String part, Grade grade, Defect defect, String words, @Nullable Decided decided) {
        return new Finding(key, at, part, grade, defect, Origin.UNKNOWN, words, decided);
    }

    /** All findings, first raised first. */
    public List<Finding> all() {
        return all;
    }

    /** Findings on which a decision is due. */
    public List<Finding> open() {
        return all.stream().filter(Finding::isOpen).toList();
    }

    /** Findings on this part. */
    public List<Finding> on(String part) {
        return all.stream().filter(f -> part.equals(f.part())).toList();
    }

    /** The finding with this key, if there is one. */
    public Optional<Finding> byKey(String key) {
        return all.stream().filter(f -> f.key().equals(key)).findFirst();
    }

    /** Whether a decision puts another part in the place of the one with this code. */
    public boolean isReplaced(String part) {
        return on(part).stream()
                .anyMatch(f -> !f.isAboutScrew()
                        && f.decision().filter(d -> d.decision().replaces()).isPresent());
    }
}
