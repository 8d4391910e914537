package escrel.core.parts;

import escrel.core.calibre.CalibreSheet;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.service.Happened;
import escrel.core.service.JobHistory;
import escrel.core.service.Lives;
import escrel.core.service.OpenItem;
import escrel.core.service.PartOff;
import escrel.core.service.RecordedStep;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Tally;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * The findings of a job: those raised in words, and those that a teardown step itself raises (a part found in grade 3 or
 * worse or marked for replacement, a screw missing, foreign or damaged). A step that raises two has two keys.
 */
public final class Findings {
    private final List<Finding> all;
    private final Copies copies;
    private final Map<String, String> causes;
    private final List<Piece> pieces;

    private Findings(List<Finding> all, Copies copies, Map<String, String> causes, List<Piece> pieces) {
        this.pieces = pieces;
        this.all = List.copyOf(all);
        this.copies = copies;
        this.causes = Map.copyOf(causes);
    }

    /** The findings after these steps, in the order in which they were raised. */
    public static Findings of(Lives lives, JobHistory history) {
        Decisions decisions = Decisions.of(history);
        List<Finding> found = new ArrayList<>();
        for (RecordedStep entry : history.counting(FindingRaised.class, PartOff.class, Happened.class)) {
            if (entry.step() instanceof FindingRaised raised) {
                found.add(decisions.put(Finding.raised(String.valueOf(entry.sequence()), entry, raised, null)));
            } else if (entry.step() instanceof PartOff off) {
                fromTeardown(entry, off, decisions, found);
            } else if (entry.step() instanceof Happened event) {
                happened(entry, event, decisions, found);
            }
        }
        Copies copies = Copies.of(lives, history, found);
        Settlement settlement = new Settlement(lives.sheet(), history, copies);
        Map<String, String> causes = new HashMap<>();
        history.all(CauseSaid.class).forEach(c -> causes.put(c.finding(), c.cause()));
        List<Finding> all =
                found.stream().map(f -> f.wanting(settlement.wanting(f))).toList();
        return new Findings(all, copies, causes, Piece.of(history, all));
    }

    private static void fromTeardown(RecordedStep entry, PartOff off, Decisions decisions, List<Finding> found) {
        boolean replace = off.plan() == PartOff.Plan.REPLACE;
        if (off.asFound().needsDecision() || replace) {
            String words = replace ? join("to be replaced", off.note()) : off.note();
            Grade grade = off.asFound().needsDecision() ? off.asFound() : Grade.MEND;
            found.add(decisions.put(made(entry, off.part(), grade, Defect.OTHER, Origin.UNKNOWN, words)));
        }
        List<ScrewsFound.State> judged = Arrays.stream(ScrewsFound.State.values())
                .filter(how -> off.screws().count(how) > 0 && how.isJudged())
                .toList();
        for (ScrewsFound.State how : judged) {
            // a step of earlier versions raised one at most, whose key has no word behind it
            String word = how == judged.get(0) ? "" : "-" + how.name().toLowerCase(Locale.ROOT);
            found.add(decisions.put(ofScrews(
                    entry,
                    Finding.SCREW_SUFFIX + word,
                    off.part(),
                    how,
                    off.screws().count(how))));
        }
    }

    private static void happened(RecordedStep entry, Happened event, Decisions decisions, List<Finding> found) {
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
            case WRONG_WAY_ROUND -> Grade.GOOD;
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
            case WRONG_WAY_ROUND -> "was fitted the wrong way round, and put right";
            default -> "taken apart by mistake";
        };
        found.add(decisions.put(made(entry, event.part(), grade, defect, origin, join(words, event.words()))));
    }

    private static String join(String first, String second) {
        return second.isBlank() ? first : first + ": " + second;
    }

    private static Finding made(
            RecordedStep entry, String part, Grade grade, Defect defect, Origin origin, String words) {
        return Finding.raised(
                String.valueOf(entry.sequence()), entry, new FindingRaised(part, grade, defect, origin, words), null);
    }

    /** What a step says of its screws, where that is something to judge; loose and glued ones are evidence, no finding. */
    private static Finding ofScrews(RecordedStep entry, String suffix, String part, ScrewsFound.State how, int count) {
        Grade grade = switch (how) {
            case MISSING -> Grade.MISSING;
            case BROKEN -> Grade.BROKEN;
            case BURRED -> Grade.WORN;
            default -> Grade.MEND;
        };
        Defect defect = switch (how) {
            case MISSING -> Defect.ABSENT;
            case BROKEN -> Defect.BROKEN;
            case FOREIGN -> Defect.WRONG_PART;
            default -> Defect.SCORED;
        };
        String number = count == 1 ? "one screw " : count + " screws ";
        String words = switch (how) {
            case MISSING -> number + "missing";
            case FOREIGN -> number + (count == 1 ? "is" : "are") + " not of this calibre";
            case BURRED -> number + "with a burred slot";
            default -> number + how.name().toLowerCase(Locale.ROOT);
        };
        return Finding.raised(
                entry.sequence() + suffix, entry, new FindingRaised(part, grade, defect, Origin.UNKNOWN, words), how);
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

    /**
     * What a finding came of, link by link, the nearest first; empty when nobody said. A cause that was taken back ends the
     * chain, and so would a ring, which the door refuses.
     */
    public List<Finding> causesOf(Finding finding) {
        List<Finding> chain = new ArrayList<>();
        Optional<Finding> next = causeOf(finding);
        while (next.isPresent() && !chain.contains(next.get()) && !next.get().equals(finding)) {
            chain.add(next.get());
            next = causeOf(next.get());
        }
        return List.copyOf(chain);
    }

    private Optional<Finding> causeOf(Finding finding) {
        return Optional.ofNullable(causes.get(finding.key())).flatMap(this::byKey);
    }

    /** The pieces that were put into parts in the place of others. */
    public List<Piece> pieces() {
        return pieces;
    }

    /** Which copy sits in each home. */
    public Copies copies() {
        return copies;
    }

    /** What is open of the findings, whether the decision or what it asks for. Source: M17. */
    public Tally tally(CalibreSheet sheet) {
        List<OpenItem> open = all.stream()
                .filter(f -> !f.isSettled() && !f.isInterim())
                .map(f -> item("finding:", f, ": " + f.wanting(), sheet))
                .toList();
        long decided =
                all.stream().filter(f -> f.decided() != null && f.isSettled()).count();
        long quiet =
                all.stream().filter(f -> f.decided() == null && f.isSettled()).count();
        return new Tally(
                Tally.Kind.FINDINGS,
                all.size(),
                open,
                "%d decided and done, %d need no decision".formatted(decided, quiet));
    }

    /** Interim parts that wait for their replacement: they keep the job open. */
    public Tally interim(CalibreSheet sheet) {
        List<OpenItem> open = all.stream()
                .filter(Finding::isInterim)
                .map(f -> item("interim:", f, " waits for its replacement", sheet))
                .toList();
        return new Tally(
                Tally.Kind.INTERIM_PARTS, open.size(), open, open.isEmpty() ? "no interim part in the movement" : "");
    }

    private static OpenItem item(String kind, Finding finding, String what, CalibreSheet sheet) {
        return new OpenItem(
                kind + finding.key() + "@" + finding.decidedAt(),
                finding.part(),
                describe(finding, sheet) + what,
                OpenItem.Place.INSPECTION);
    }

    private static String describe(Finding finding, CalibreSheet sheet) {
        String where = finding.where(sheet);
        return finding.words().isBlank() ? where : where + " (" + finding.words() + ")";
    }
}
