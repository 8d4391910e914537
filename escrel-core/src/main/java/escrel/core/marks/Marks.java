package escrel.core.marks;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.marks.MarkSeen.Kind;
import escrel.core.marks.MarkSeen.On;
import escrel.core.service.JobHistory;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * The marks of a watch held against each other. Numbers of movement parts agree when they are the same or end alike; short ones,
 * by which parts were kept together, only among themselves. A dial dated as its movement or up to two months before is usual, one
 * later than its movement is a question. Cases carry numbers of their own. Source: craft 2.1; that a number is short with up to
 * two figures, and that it takes two figures to agree with the end of a long one, is ours.
 */
public final class Marks {
    private static final int SHORT = 2;
    private static final int USUAL_MONTHS = 2;

    /** What a comparison says. */
    public enum Verdict {
        AGREES("agrees"),
        DIFFERS("differs"),
        CANNOT_BE_TOLD("cannot be told");

        private final String words;

        Verdict(String words) {
            this.words = words;
        }

        /** As it is said. */
        public String words() {
            return words;
        }
    }

    /**
     * Two marks held against each other, or one against what is known.
     *
     * @param what was compared
     */
    public record Comparison(Verdict verdict, String what, String why) {}

    private final List<MarkSeen> all;
    private final CalibreSheet movement;
    private final @Nullable CalibreSheet bound;

    private Marks(List<MarkSeen> all, CalibreSheet movement, @Nullable CalibreSheet bound) {
        this.all = all;
        this.movement = movement;
        this.bound = bound;
    }

    /**
     * The marks after these steps.
     *
     * @param movement its parts, for their names
     * @param bound the sheet the job is bound to, or nothing
     */
    public static Marks of(JobHistory history, CalibreSheet movement, @Nullable CalibreSheet bound) {
        return new Marks(history.all(MarkSeen.class).toList(), movement, bound);
    }

    /** Every mark, first read first. */
    public List<MarkSeen> all() {
        return all;
    }

    /** Where a mark stands, in words. */
    public String where(MarkSeen mark) {
        return mark.where(code -> movement.part(code).map(Part::name).orElse(code));
    }

    /** What agrees, differs or cannot be told. */
    public List<Comparison> comparisons() {
        List<Comparison> found = new ArrayList<>();
        numbers(On.MOVEMENT, found);
        numbers(On.CASE, found);
        caseAgainstMovement(found);
        dates(found);
        calibres(found);
        return List.copyOf(found);
    }

    private List<MarkSeen> those(Predicate<MarkSeen> which) {
        return all.stream().filter(which).toList();
    }

    private void numbers(On on, List<Comparison> found) {
        List<MarkSeen> numbers = those(m -> m.kind() == Kind.NUMBER && m.on() == on);
        List<MarkSeen> small = numbers.stream().filter(Marks::isShort).toList();
        List<MarkSeen> full = numbers.stream()
                .filter(m -> !isShort(m))
                .sorted(Comparator.comparing(m -> -plain(m.text()).length()))
                .toList();
        for (MarkSeen other : full.isEmpty() ? full : full.subList(1, full.size())) {
            found.add(held(full.get(0), other));
        }
        MarkSeen first = small.isEmpty() ? null : small.get(0);
        for (MarkSeen other : small) {
            boolean ending = !full.isEmpty()
                    && plain(other.text()).length() > 1
                    && plain(full.get(0).text()).endsWith(plain(other.text()));
            if (ending) {
                found.add(new Comparison(
                        Verdict.AGREES, both(full.get(0), other), "the number ends with its " + plain(other.text())));
            } else if (first != null && other != first) {
                boolean same = plain(first.text()).equals(plain(other.text()));
                found.add(new Comparison(
                        same ? Verdict.AGREES : Verdict.DIFFERS,
                        both(first, other),
                        same
                                ? "the same short number"
                                : "parts that were fitted together carry the same short number"));
            }
        }
        if (numbers.size() == 1) {
            found.add(new Comparison(
                    Verdict.CANNOT_BE_TOLD, one(numbers.get(0)), "no other number to hold it against yet"));
        } else if (small.size() == 1 && found.stream().noneMatch(c -> c.what().contains(one(small.get(0))))) {
            found.add(new Comparison(
                    Verdict.CANNOT_BE_TOLD, one(small.get(0)), "no other short number to hold it against yet"));
        }
    }

    private Comparison held(MarkSeen first, MarkSeen other) {
        String whole = plain(first.text());
        String part = plain(other.text());
        if (whole.equals(part)) {
            return new Comparison(Verdict.AGREES, both(first, other), "the same number");
        }
        return whole.endsWith(part)
                ? new Comparison(
                        Verdict.AGREES, both(first, other), "the last " + part.length() + " characters are the same")
                : new Comparison(
                        Verdict.DIFFERS,
                        both(first, other),
                        "one of them is not from this movement, or was renumbered");
    }

    private void caseAgainstMovement(List<Comparison> found) {
        List<MarkSeen> ofCase = those(m -> m.kind() == Kind.NUMBER && m.on() == On.CASE && !isShort(m));
        List<MarkSeen> inside = those(m -> m.kind() == Kind.NUMBER && m.on() == On.MOVEMENT && !isShort(m));
        if (ofCase.isEmpty() || inside.isEmpty()) {
            return;
        }
        boolean same = plain(ofCase.get(0).text()).equals(plain(inside.get(0).text()));
        found.add(new Comparison(
                same ? Verdict.AGREES : Verdict.CANNOT_BE_TOLD,
                both(ofCase.get(0), inside.get(0)),
                same ? "case and movement carry the same number" : "many cases carry a number of their own"));
    }

    private void dates(List<Comparison> found) {
        List<MarkSeen> dials = those(m -> m.kind() == Kind.DATE && m.on() == On.DIAL);
        List<MarkSeen> movements = those(m -> m.kind() == Kind.DATE && m.on() == On.MOVEMENT);
        for (MarkSeen dial : dials) {
            for (MarkSeen movement : movements) {
                found.add(dated(dial, movement));
            }
        }
    }

    private Comparison dated(MarkSeen dial, MarkSeen movement) {
        MarkDate of = MarkDate.of(dial.text());
        MarkDate with = MarkDate.of(movement.text());
        if (!of.hasMonth() || !with.hasMonth()) {
            return of.year() > with.year()
                    ? new Comparison(Verdict.DIFFERS, both(dial, movement), "the dial is later than its movement")
                    : new Comparison(
                            Verdict.CANNOT_BE_TOLD,
                            both(dial, movement),
                            of.year() == with.year() ? "the same year; the month is not known" : "years apart");
        }
        int before = with.months() - of.months();
        if (before < 0) {
            return new Comparison(Verdict.DIFFERS, both(dial, movement), "the dial is later than its movement");
        }
        return before <= USUAL_MONTHS
                ? new Comparison(
                        Verdict.AGREES,
                        both(dial, movement),
                        before == 0 ? "the same month" : "the dial a little before its movement, as is usual")
                : new Comparison(
                        Verdict.CANNOT_BE_TOLD,
                        both(dial, movement),
                        "the dial " + before + " months before its movement: more than is usual");
    }

    private void calibres(List<Comparison> found) {
        for (MarkSeen mark : those(m -> m.kind() == Kind.CALIBRE)) {
            if (bound == null) {
                found.add(new Comparison(Verdict.CANNOT_BE_TOLD, one(mark), "the job is bound to no calibre yet"));
            } else {
                boolean fits = plain(bound.name()).contains(plain(mark.text()));
                found.add(new Comparison(
                        fits ? Verdict.AGREES : Verdict.DIFFERS, one(mark), "the job is bound to " + bound.name()));
            }
        }
    }

    /** The result in a line, for the report: differing first; nothing when no mark can be compared. */
    public String told() {
        return comparisons().stream()
                .filter(c -> c.verdict() != Verdict.CANNOT_BE_TOLD)
                .sorted(Comparator.comparing(c -> c.verdict() != Verdict.DIFFERS))
                .map(c -> c.what() + " " + c.verdict().words() + " (" + c.why() + ")")
                .collect(Collectors.joining("; "));
    }

    private String both(MarkSeen one, MarkSeen other) {
        return one(one) + " and " + one(other);
    }

    private String one(MarkSeen mark) {
        return mark.kind().words() + " " + mark.text() + " on " + where(mark);
    }

    private static boolean isShort(MarkSeen mark) {
        return plain(mark.text()).length() <= SHORT;
    }

    /** Letters and figures only: how a mark is spaced or stopped says nothing. */
    private static String plain(String text) {
        return text.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]", "");
    }
}
