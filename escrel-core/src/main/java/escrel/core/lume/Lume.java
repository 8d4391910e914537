package escrel.core.lume;

import escrel.core.lume.LumePoint.Point;
import escrel.core.service.JobHistory;
import escrel.core.service.PartOff;
import escrel.core.service.PartOn;
import escrel.core.service.RecordedStep;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * The luminous paint of a watch. What was not counted, or counted by a figure whose doubt nobody knows, is not known; what was
 * not shown to be above background is not thereby safe. Source: craft 2.2, M19.
 */
public final class Lume {
    /** What is known of an item. */
    public enum Verdict {
        ABOVE("above background"),
        NOT_SHOWN("not shown to be above background, which is not the same as safe"),
        UNKNOWN("not known: treated as radioactive until it is counted");

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
     * An item with its paint.
     *
     * @param counted its latest count; nothing while there is none
     */
    public record Item(
            LumeItem item, Verdict verdict, @Nullable LumeCounted counted) {
        /** The figure in words: "52.4 ± 4.7 counts per minute"; empty without one. */
        public String figure() {
            if (counted == null) {
                return "";
            }
            String from = counted.simulated() ? " (simulated)" : "";
            return counted.unit() == LumeCounted.Unit.DOSE_RATE
                    ? "%.2f µSv/h over the background, doubt not known".formatted(counted.net()) + from
                    : String.format(Locale.ROOT, "%.1f ± %.1f counts per minute", counted.net(), counted.doubt())
                            + from;
        }
    }

    private final List<Item> items;
    private final Set<Point> done;
    private final boolean said;

    private Lume(List<Item> items, Set<Point> done, boolean said) {
        this.items = List.copyOf(items);
        this.done = done;
        this.said = said;
    }

    /**
     * The paint after these steps. Points of care are seen to for one handling: those of arrival stand for taking off as well; when dial or
     * hands begin to go on, or come off once more, they are due again.
     *
     * @param carries whether a part is one that may carry paint: dial and hands
     */
    public static Lume of(JobHistory history, Predicate<String> carries) {
        Map<LumeItem, LumeCounted> counted = new EnumMap<>(LumeItem.class);
        history.all(LumeCounted.class).forEach(c -> counted.put(c.item(), c));
        Set<LumeItem> painted = EnumSet.noneOf(LumeItem.class);
        history.last(LumeSeen.class).ifPresent(s -> painted.addAll(s.items()));
        painted.addAll(counted.keySet());
        List<Item> items = new ArrayList<>();
        for (LumeItem item : painted) {
            LumeCounted count = counted.get(item);
            items.add(new Item(item, verdict(count), count));
        }
        Set<Point> done = EnumSet.noneOf(Point.class);
        Class<?> handling = null;
        for (RecordedStep entry : history.counting(PartOff.class, PartOn.class, LumePoint.class)) {
            boolean moved = entry.step() instanceof PartOff off && carries.test(off.part())
                    || entry.step() instanceof PartOn on && carries.test(on.part());
            if (moved && entry.step().getClass() != handling) {
                // the points before the first of them are those of arrival, and stand for taking off as well
                if (handling != null) {
                    done.clear();
                }
                handling = entry.step().getClass();
            } else if (entry.step() instanceof LumePoint point) {
                if (point.done()) {
                    done.add(point.point());
                } else {
                    done.remove(point.point());
                }
            }
        }
        boolean said = !counted.isEmpty() || history.last(LumeSeen.class).isPresent();
        return new Lume(items, done, said);
    }

    private static Verdict verdict(@Nullable LumeCounted count) {
        if (count == null || count.unit() == LumeCounted.Unit.DOSE_RATE) {
            return Verdict.UNKNOWN;
        }
        return count.isAbove() ? Verdict.ABOVE : Verdict.NOT_SHOWN;
    }

    /** Whether somebody said where there is paint, or that there is none. */
    public boolean isSaid() {
        return said;
    }

    /** The items with paint. */
    public List<Item> items() {
        return items;
    }

    /** Whether the points of care are asked for: something lies above background, or is not known. */
    public boolean wantsCare() {
        return items.stream().anyMatch(i -> i.verdict() != Verdict.NOT_SHOWN);
    }

    /** Points that were seen to. */
    public Set<Point> done() {
        return Set.copyOf(done);
    }

    /** Points still to be seen to; none where no care is asked for. */
    public List<Point> left() {
        return wantsCare()
                ? Arrays.stream(Point.values()).filter(p -> !done.contains(p)).toList()
                : List.of();
    }

    /** The mark that stays on job, tray, label and report; empty where none is wanted. */
    public String mark() {
        if (!wantsCare()) {
            return "";
        }
        String above = named(Verdict.ABOVE);
        String unknown = named(Verdict.UNKNOWN);
        return "Luminous paint" + (above.isEmpty() ? "" : ", above background: " + above)
                + (unknown.isEmpty() ? "" : ", not known: " + unknown);
    }

    private String named(Verdict verdict) {
        return items.stream()
                .filter(i -> i.verdict() == verdict)
                .map(i -> i.item().words())
                .collect(Collectors.joining(", "));
    }

    /** What the owner is told, item by item; empty where there is no paint. */
    public List<String> told() {
        return items.stream()
                .map(i -> i.item().words() + ": " + (i.figure().isEmpty() ? "" : i.figure() + ", ")
                        + i.verdict().words())
                .toList();
    }
}
