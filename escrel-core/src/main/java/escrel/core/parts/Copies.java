package escrel.core.parts;

import escrel.core.service.Episode;
import escrel.core.service.JobHistory;
import escrel.core.service.Lives;
import escrel.core.service.PartOn;
import escrel.core.service.RecordedStep;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Which copy sits in each home, and which sat there before. A part that goes on after another one was decided on is that
 * other one, whether it was said to be at hand or not.
 */
public final class Copies {
    private final Map<String, List<Copy>> byPart = new HashMap<>();
    private final Lives lives;

    private Copies(Lives lives) {
        this.lives = lives;
    }

    /**
     * The copies after these steps.
     *
     * @param raised the findings with their decisions, whether settled or not
     */
    static Copies of(Lives lives, JobHistory history, List<Finding> raised) {
        Copies copies = new Copies(lives);
        for (RecordedStep entry : history.counting(CopyAtHand.class, PartOn.class, OldPart.class)) {
            if (entry.step() instanceof CopyAtHand hand) {
                copies.add(hand, entry.sequence());
            } else if (entry.step() instanceof PartOn on) {
                copies.putOn(on.part(), entry.sequence(), raised);
            } else if (entry.step() instanceof OldPart old) {
                copies.fate(old);
            }
        }
        return copies;
    }

    private List<Copy> all(String part) {
        return byPart.computeIfAbsent(part, p -> {
            List<Copy> copies = new ArrayList<>();
            boolean absent = lives.episodesOf(p).stream()
                    .findFirst()
                    .filter(Episode::wasAbsent)
                    .isPresent();
            if (!absent) {
                copies.add(new Copy(p, 0, CopyAtHand.Origin.ORIGINAL, "", "", null, 0, 0, null));
            }
            return copies;
        });
    }

    private void add(CopyAtHand hand, int at) {
        List<Copy> copies = all(hand.part());
        int number = copies.isEmpty() ? 1 : copies.get(copies.size() - 1).number() + 1;
        copies.add(new Copy(hand.part(), number, hand.origin(), hand.source(), hand.words(), hand.from(), at, 0, null));
    }

    private void putOn(String part, int at, List<Finding> raised) {
        boolean counts = lives.episodesOf(part).stream().anyMatch(e -> e.onAt() == at);
        if (!counts) {
            return;
        }
        unannounced(part, at, raised);
        List<Copy> copies = all(part);
        copies.set(copies.size() - 1, copies.get(copies.size() - 1).fitted(at));
    }

    /** A replacement that was decided on and never said to be at hand is at hand when it goes on. */
    private void unannounced(String part, int at, List<Finding> raised) {
        Optional<Finding> decided = raised.stream()
                .filter(f -> part.equals(f.part()) && !f.isWithinPart() && f.replaces() && f.decidedAt() < at)
                .filter(f -> all(part).stream().noneMatch(c -> c.since() > f.raisedAt()))
                .reduce((a, b) -> b);
        if (decided.isPresent() || all(part).isEmpty()) {
            CopyAtHand.Origin origin = decided.map(f -> origin(f)).orElse(CopyAtHand.Origin.NEW);
            String source = decided.map(Finding::source).orElse("");
            add(new CopyAtHand(part, origin, source, ""), at);
        }
    }

    /** Where a decision brings the part from. */
    static CopyAtHand.Origin origin(Finding finding) {
        return finding.decision()
                .map(d -> switch (d.decision()) {
                    case REPLACE_DONOR -> CopyAtHand.Origin.DONOR;
                    case MAKE -> CopyAtHand.Origin.MADE;
                    default -> CopyAtHand.Origin.NEW;
                })
                .orElse(CopyAtHand.Origin.NEW);
    }

    private void fate(OldPart old) {
        all(old.part()).replaceAll(c -> c.number() == old.copy() ? c.withFate(old.fate()) : c);
    }

    /** Every copy of a home, first first. */
    public List<Copy> of(String part) {
        return List.copyOf(all(part));
    }

    /** The copy at hand or fitted now; nothing for a home that was empty and still waits. */
    public Optional<Copy> now(String part) {
        List<Copy> copies = all(part);
        return copies.isEmpty() ? Optional.empty() : Optional.of(copies.get(copies.size() - 1));
    }

    /** The copy that sat in the home last: the latest that was fitted, or the original; nothing for a home always empty. */
    public Optional<Copy> seated(String part) {
        return all(part).stream()
                .filter(c -> !c.isBroughtIn() || c.fittedAt() > 0)
                .reduce((earlier, later) -> later);
    }

    /** The copies that were taken out for another, by home, in the order of the sheet. */
    public List<Copy> old() {
        List<Copy> old = new ArrayList<>();
        lives.sheet().homes().forEach(p -> {
            List<Copy> copies = all(p.code());
            if (copies.size() > 1 && copies.get(copies.size() - 1).fittedAt() > 0) {
                old.addAll(copies.subList(0, copies.size() - 1));
            }
        });
        return old;
    }

    /** Every copy brought in during this job, fitted or not, by home. */
    public List<Copy> broughtIn() {
        return lives.sheet().homes().stream()
                .flatMap(p -> all(p.code()).stream())
                .filter(Copy::isBroughtIn)
                .toList();
    }

    /** Every copy brought in during this job that went on, in the order of the sheet. */
    public List<Copy> fittedAnew() {
        return lives.sheet().homes().stream()
                .flatMap(p -> all(p.code()).stream())
                .filter(c -> c.isBroughtIn() && c.fittedAt() > 0)
                .toList();
    }
}
