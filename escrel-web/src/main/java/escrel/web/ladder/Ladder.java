package escrel.web.ladder;

import escrel.core.assembly.TestMade;
import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import escrel.core.lubrication.LubricationState;
import escrel.core.parts.Finding;
import escrel.core.parts.Findings;
import escrel.core.service.JobHistory;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * The rungs of a job.
 *
 * @param rungs from the first to come off to the last
 * @param off how many parts are off
 * @param onAgain how many are on again
 * @param total how many there are
 */
public record Ladder(List<Rung> rungs, int off, int onAgain, int total) {
    /**
     * A rung: one part, or several of one group drawn together.
     *
     * @param code of the part; of the first one, for several
     * @param size how many parts
     * @param off how many of them came off
     * @param onAgain how many are on again
     * @param detail what is said at its right end
     * @param ticks screws along it
     * @param state class for its look
     */
    public record Rung(
            String code,
            String name,
            int size,
            int off,
            int onAgain,
            String detail,
            int ticks,
            boolean leftHand,
            boolean powerDown,
            boolean flagged,
            boolean visiting,
            List<Mark> marks,
            String state) {
        /** How full the left end is. */
        public String left() {
            return off == 0 ? "empty" : off == size ? "full" : "part";
        }

        /** How full the right end is. */
        public String right() {
            return visiting ? "visit" : onAgain == 0 ? "empty" : onAgain == size ? "full" : "part";
        }
    }

    /**
     * An oil point or test at the height at which it belongs.
     *
     * @param letter of the lubricant class, or T for a test
     */
    public record Mark(String letter, boolean done, String title) {}

    /** Every part in the order in which it came off, then what is still on in the order in which it should. */
    public static List<Part> order(TeardownState state, TeardownOrder wayDown) {
        List<Part> all = new ArrayList<>();
        state.order().forEach(code -> all.add(state.sheet().requirePart(code)));
        wayDown.remaining().stream().filter(p -> !state.wasOff(p.code())).forEach(all::add);
        return all;
    }

    /**
     * Builds the ladder.
     *
     * @param order every part, in the order in which it came or will come off
     * @param selected the part on the card; its group and the next are drawn part by part
     */
    public static Ladder of(TeardownState teardown, JobHistory history, List<Part> order, @Nullable String selected) {
        Builder builder = new Builder(teardown, history, selected);
        List<List<Part>> runs = new ArrayList<>();
        for (Part part : order) {
            List<Part> last = runs.isEmpty() ? List.of() : runs.get(runs.size() - 1);
            boolean together = !last.isEmpty()
                    && last.get(0).group() == part.group()
                    && !part.isPowerDown()
                    && !last.get(0).isPowerDown();
            if (together) {
                last.add(part);
            } else {
                runs.add(new ArrayList<>(List.of(part)));
            }
        }
        List<Rung> rungs = new ArrayList<>();
        boolean justBefore = false;
        for (List<Part> run : runs) {
            boolean current = run.stream().anyMatch(p -> p.code().equals(selected));
            boolean open = run.size() == 1 || current || justBefore;
            // what comes right after the part at hand is drawn part by part too
            justBefore = current;
            if (open) {
                run.forEach(p -> rungs.add(builder.single(p)));
            } else {
                rungs.add(builder.together(run));
            }
        }
        long off = order.stream().filter(p -> teardown.wasOff(p.code())).count();
        long on = order.stream().filter(p -> teardown.isOnAgain(p.code())).count();
        return new Ladder(List.copyOf(rungs), (int) off, (int) on, order.size());
    }

    private static final class Builder {
        private final TeardownState teardown;
        private final CalibreSheet sheet;
        private final Findings findings;
        private final LubricationState lubrication;
        private final Map<String, TestMade> tests = new HashMap<>();
        private final @Nullable String selected;

        Builder(TeardownState teardown, JobHistory history, @Nullable String selected) {
            this.teardown = teardown;
            this.sheet = teardown.sheet();
            this.findings = Findings.of(history);
            this.lubrication = LubricationState.of(teardown, history);
            this.selected = selected;
            history.all(TestMade.class).forEach(t -> tests.put(t.test(), t));
        }

        Rung single(Part part) {
            List<ScrewPlace> screws = sheet.screwsOf(part.code());
            boolean off = teardown.wasOff(part.code());
            boolean blocked = !off && !teardown.heldBy(part.code()).isEmpty();
            String state = part.code().equals(selected) ? "selected" : blocked ? "blocked" : off ? "off" : "free";
            return new Rung(
                    part.code(),
                    part.name(),
                    1,
                    off ? 1 : 0,
                    teardown.isOnAgain(part.code()) ? 1 : 0,
                    detail(part, screws, off),
                    screws.size(),
                    screws.stream().anyMatch(s -> s.thread() == ScrewPlace.Thread.LEFT),
                    part.isPowerDown(),
                    findings.on(part.code()).stream().anyMatch(Finding::isOpen),
                    teardown.visiting().contains(part.code()),
                    marks(List.of(part)),
                    state);
        }

        Rung together(List<Part> parts) {
            Part first = parts.get(0);
            int off =
                    (int) parts.stream().filter(p -> teardown.wasOff(p.code())).count();
            int on = (int)
                    parts.stream().filter(p -> teardown.isOnAgain(p.code())).count();
            int screws = parts.stream()
                    .mapToInt(p -> sheet.screwsOf(p.code()).size())
                    .sum();
            return new Rung(
                    first.code(),
                    groupName(first.group()),
                    parts.size(),
                    off,
                    on,
                    parts.size() + " parts",
                    screws,
                    false,
                    false,
                    parts.stream().anyMatch(p -> findings.on(p.code()).stream().anyMatch(Finding::isOpen)),
                    parts.stream().anyMatch(p -> teardown.visiting().contains(p.code())),
                    marks(parts),
                    off == parts.size() ? "off" : off == 0 ? "blocked" : "free");
        }

        private String detail(Part part, List<ScrewPlace> screws, boolean off) {
            if (!off && !teardown.heldBy(part.code()).isEmpty()) {
                return sheet.holdsOn(part.code()).stream()
                        .filter(h -> !teardown.isOff(h.by()))
                        .map(h -> h.why())
                        .findFirst()
                        .orElse("");
            }
            if (part.isPowerDown()) {
                return off ? "let down" : "";
            }
            return screwWords(screws);
        }

        private List<Mark> marks(List<Part> parts) {
            List<Mark> marks = new ArrayList<>();
            for (Part part : parts) {
                for (OilPoint point : sheet.oilPoints()) {
                    String height = Objects.requireNonNullElse(point.after(), point.part());
                    if (height.equals(part.code())) {
                        marks.add(new Mark(
                                point.lubricant().letter(), lubrication.isSettled(point.code()), point.name()));
                    }
                }
                for (AssemblyTest test : sheet.tests()) {
                    if (test.after().equals(part.code())) {
                        TestMade made = tests.get(test.code());
                        boolean done = made != null && made.outcome() != TestMade.Outcome.FAILED;
                        marks.add(new Mark("T", done, test.name()));
                    }
                }
            }
            return List.copyOf(marks);
        }
    }

    /** Screws in words: "2 short", "1 left-hand". */
    public static String screwWords(List<ScrewPlace> screws) {
        if (screws.isEmpty()) {
            return "";
        }
        boolean left = screws.stream().anyMatch(s -> s.thread() == ScrewPlace.Thread.LEFT);
        String kind =
                left ? "left-hand" : screws.get(0).length().name().toLowerCase().replace('_', ' ');
        return screws.size() + " " + kind;
    }

    /** The name of a group as said at the bench. */
    public static String groupName(Group group) {
        String words = group == Group.BARREL
                ? "barrel and winding"
                : group.name().toLowerCase().replace('_', ' ');
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
