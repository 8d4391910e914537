package escrel.web.ladder;

import escrel.core.assembly.TestState;
import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import escrel.core.handover.Stage;
import escrel.core.job.Job;
import escrel.core.lubrication.LubricationState;
import escrel.core.parts.Findings;
import escrel.core.parts.PartScrews;
import escrel.core.parts.ScrewAccount;
import escrel.core.service.Round;
import escrel.core.teardown.TeardownState;
import escrel.web.format.Texts;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The rungs of a job.
 *
 * @param rungs from the first to come off to the last
 * @param off how many parts are off
 * @param onAgain how many are on again
 * @param total how many there are
 * @param spines earlier rounds, first first
 * @param heading the present round and why it was opened; empty for the first
 */
public record Ladder(List<Rung> rungs, int off, int onAgain, int total, List<Spine> spines, String heading) {
    /**
     * A rung: one part, or several of one group drawn together.
     *
     * @param code of the part; of the first one, for several
     * @param size how many parts
     * @param off how many of them came off
     * @param onAgain how many are on again
     * @param detail what is said at its right end
     * @param ticks screws along it
     * @param missing how many of those holes are empty
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
            int missing,
            boolean leftHand,
            boolean powerDown,
            boolean flagged,
            boolean visiting,
            List<Mark> marks,
            String state) {
        /** Classes for its look, how full its ends are among them. */
        public String look() {
            return state
                    + (left().equals("full") ? " done-left" : "")
                    + (right().equals("full") ? " done-right" : "")
                    + (powerDown ? " power" : "");
        }

        /** Whether it is the one looked at, as the page says it: nothing for the others. */
        public @Nullable String current() {
            return state.equals("selected") ? "true" : null;
        }

        /** Its code as part of an address. */
        public String codeInAddress() {
            return Texts.inAddress(code);
        }

        /** Classes for the look of each screw along it; none where several parts are drawn together. */
        public List<String> screwLooks() {
            return IntStream.range(0, size == 1 ? ticks : 0)
                    .mapToObj(t -> (t >= ticks - missing ? "empty " : "") + (leftHand ? "left-hand" : ""))
                    .toList();
        }

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
     * Oil points of one class, or tests, at the height at which they belong.
     *
     * @param letter of the lubricant class, or T for a test
     * @param settled how many of them are settled
     * @param names of them, at least one
     */
    public record Mark(String letter, int settled, List<String> names) {

        public boolean done() {
            return settled == names.size();
        }

        /** How many they are, or how far they are: nothing for one, "8", "3/8". */
        public String counted() {
            if (names.size() == 1) {
                return "";
            }
            return settled == 0 || done() ? String.valueOf(names.size()) : settled + "/" + names.size();
        }

        public String title() {
            return String.join(", ", names);
        }

        private Mark with(boolean done, String name) {
            return new Mark(
                    letter,
                    settled + (done ? 1 : 0),
                    Stream.concat(names.stream(), Stream.of(name)).toList());
        }
    }

    /**
     * A closed round: as tall as what was lifted in it, quiet.
     *
     * @param title its number
     * @param words why it was opened, how much was lifted, what it changed
     * @param rungs how many parts were lifted
     */
    public record Spine(String title, String words, int rungs) {
        private static final double STEP = 7;

        /** Height in the drawing's units. */
        public double height() {
            return 10 + STEP * rungs;
        }

        /** Where its rungs lie. */
        public List<Double> places() {
            List<Double> places = new ArrayList<>();
            for (int i = 0; i < rungs; i++) {
                places.add(8 + STEP * i);
            }
            return places;
        }
    }

    /** Every part of the present round: what came off in it, then what should in the order in which it should. */
    public static List<Part> order(Job job) {
        TeardownState state = job.teardown();
        List<Part> all = new ArrayList<>();
        state.order().forEach(code -> all.add(state.sheet().requirePart(code)));
        job.wayDown().remaining().stream()
                .filter(p -> !state.wasOff(p.code()))
                .filter(p -> mayStillComeOff(job))
                .forEach(all::add);
        return all;
    }

    /** Once a later round is on its way up, what it left alone is no business of its ladder. */
    private static boolean mayStillComeOff(Job job) {
        boolean later = job.lives().rounds().size() > 1;
        return !later || job.stage() == Stage.STRIPPING;
    }

    /**
     * Builds the ladder.
     *
     * @param order every part of the present round, in the order in which it came or will come off
     * @param selected the part on the card; its group and the next are drawn part by part
     */
    public static Ladder of(Job job, List<Part> order, @Nullable String selected) {
        TeardownState teardown = job.teardown();
        Builder builder = new Builder(job, selected);
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
        return new Ladder(List.copyOf(rungs), (int) off, (int) on, order.size(), Spines.of(job), heading(job));
    }

    private static String heading(Job job) {
        Round round = job.lives().round();
        return round.number() == 1 ? "" : round.number() + " · " + Spines.why(round);
    }

    private static final class Builder {
        private final TeardownState teardown;
        private final CalibreSheet sheet;
        private final ScrewAccount screws;
        private final Findings findings;
        private final LubricationState lubrication;
        private final TestState tests;
        private final @Nullable String selected;

        Builder(Job job, @Nullable String selected) {
            this.teardown = job.teardown();
            this.sheet = teardown.sheet();
            this.screws = job.screws();
            this.findings = job.findings();
            this.lubrication = job.lubrication();
            this.tests = job.tests();
            this.selected = selected;
        }

        Rung single(Part part) {
            PartScrews own = screws.of(part.code());
            boolean off = teardown.wasOff(part.code());
            boolean blocked = !off && !teardown.heldBy(part.code()).isEmpty();
            String state = part.code().equals(selected) ? "selected" : blocked ? "blocked" : off ? "off" : "free";
            return new Rung(
                    part.code(),
                    part.name(),
                    1,
                    off ? 1 : 0,
                    teardown.isOnAgain(part.code()) ? 1 : 0,
                    detail(part, own, off),
                    own.holes().size(),
                    own.count(PartScrews.Where.EMPTY),
                    own.hasLeftHand(),
                    part.isPowerDown(),
                    findings.on(part.code()).stream().anyMatch(f -> !f.isSettled()),
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
            int holes = parts.stream()
                    .mapToInt(p -> screws.of(p.code()).holes().size())
                    .sum();
            int empty = parts.stream()
                    .mapToInt(p -> screws.of(p.code()).count(PartScrews.Where.EMPTY))
                    .sum();
            return new Rung(
                    first.code(),
                    groupName(first.group()),
                    parts.size(),
                    off,
                    on,
                    parts.size() + " parts",
                    holes,
                    empty,
                    false,
                    false,
                    parts.stream().anyMatch(p -> findings.on(p.code()).stream().anyMatch(f -> !f.isSettled())),
                    parts.stream().anyMatch(p -> teardown.visiting().contains(p.code())),
                    marks(parts),
                    off == parts.size() ? "off" : off == 0 ? "blocked" : "free");
        }

        private String detail(Part part, PartScrews own, boolean off) {
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
            return own.words();
        }

        private List<Mark> marks(List<Part> parts) {
            Map<String, Mark> marks = new LinkedHashMap<>();
            for (Part part : parts) {
                for (OilPoint point : sheet.oilPoints()) {
                    String height = Objects.requireNonNullElse(point.after(), point.part());
                    if (height.equals(part.code())) {
                        mark(marks, point.lubricant().letter(), lubrication.isSettled(point), point.name());
                    }
                }
                for (AssemblyTest test : tests.due()) {
                    if (test.after().equals(part.code())) {
                        mark(marks, "T", tests.isSettled(test), test.name());
                    }
                }
            }
            return List.copyOf(marks.values());
        }

        private static void mark(Map<String, Mark> marks, String letter, boolean done, String name) {
            Mark so = marks.getOrDefault(letter, new Mark(letter, 0, List.of()));
            marks.put(letter, so.with(done, name));
        }
    }

    /** The name of a group as said at the bench. */
    public static String groupName(Group group) {
        String words = group == Group.BARREL
                ? "barrel and winding"
                : group.name().toLowerCase().replace('_', ' ');
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
