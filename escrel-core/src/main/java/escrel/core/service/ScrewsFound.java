package escrel.core.service;

import escrel.core.calibre.ScrewPlace.LengthClass;
import escrel.core.calibre.ScrewPlace.Thread;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * How the screws of a part were found as it came off: as the sheet says, as the factory left them, or so many of them odd
 * in so many ways. A screw may be odd in two ways at once, loose and burred, so the numbers need not add up.
 * Source: craft 2.7.
 *
 * @param asFactoryLeft whether nobody had ever been at them: a sign against earlier work
 * @param odd what was odd, how many times; empty when nothing was
 */
public record ScrewsFound(boolean asFactoryLeft, List<Odd> odd) {
    /** Nothing to be said of them. */
    public static final ScrewsFound AS_ON_SHEET = new ScrewsFound(false, List.of());
    /** Slots perfect, nothing loose: untouched since they were driven in. */
    public static final ScrewsFound AS_FACTORY_LEFT = new ScrewsFound(true, List.of());

    /** Most screws of one part. */
    public static final int MOST = 20;

    /** In what a screw differs from what should be there. */
    public enum State {
        LOOSE,
        MISSING,
        FOREIGN,
        BURRED,
        GLUED,
        BROKEN,
        /** In what way was not said; records of earlier versions say so. */
        DAMAGED;

        /** Whether the hole holds no screw that can go back. */
        public boolean emptiesHole() {
            return this == MISSING || this == BROKEN;
        }

        /** Whether it is a finding to be judged; loose and glued ones are evidence of earlier work, and cheap to put right. */
        public boolean isJudged() {
            return this != LOOSE && this != GLUED;
        }
    }

    /**
     * So many screws odd in one way.
     *
     * @param count 1 to {@link #MOST}
     * @param length of the kind of screw, where the part has several; nothing when it was not told apart
     * @param thread of that kind
     */
    public record Odd(
            State state,
            int count,
            @Nullable LengthClass length,
            @Nullable Thread thread) {
        public Odd {
            if (count < 1 || count > MOST) {
                throw new IllegalArgumentException(
                        "the number of screws must lie between 1 and " + MOST + ", was " + count);
            }
        }

        /** Whether this speaks of screws of that kind, or of any. */
        boolean isOf(LengthClass otherLength, Thread otherThread) {
            return length == otherLength && thread == otherThread;
        }
    }

    public ScrewsFound {
        odd = odd == null ? List.of() : List.copyOf(odd);
        if (asFactoryLeft && !odd.isEmpty()) {
            throw new IllegalArgumentException("screws as the factory left them are odd in nothing");
        }
        Set<String> kinds = new HashSet<>();
        for (Odd each : odd) {
            if (!kinds.add(each.state() + "/" + each.length() + "/" + each.thread())) {
                throw new IllegalArgumentException(each.state() + " is said twice of the same screws");
            }
        }
    }

    /** So many screws odd in one way, of no kind in particular. */
    public static ScrewsFound of(State state, int count) {
        return new ScrewsFound(false, List.of(new Odd(state, count, null, null)));
    }

    /** These and so many more. */
    public ScrewsFound and(State state, int count) {
        List<Odd> more = new ArrayList<>(odd);
        more.add(new Odd(state, count, null, null));
        return new ScrewsFound(false, more);
    }

    /** Whether nothing was odd. */
    public boolean isRight() {
        return odd.isEmpty();
    }

    /** How many were odd in this way. */
    public int count(State state) {
        return odd.stream().filter(o -> o.state() == state).mapToInt(Odd::count).sum();
    }

    /** How many of one kind were said to be odd in this way. */
    public int count(State state, LengthClass length, Thread thread) {
        return odd.stream()
                .filter(o -> o.state() == state && o.isOf(length, thread))
                .mapToInt(Odd::count)
                .sum();
    }

    /** How many were odd in this way without being told apart by kind. */
    public int countOfNoKind(State state) {
        return odd.stream()
                .filter(o -> o.state() == state && o.length() == null)
                .mapToInt(Odd::count)
                .sum();
    }

    /** In words: "2 missing, 2 loose"; empty when nothing is to be said. */
    public String words() {
        if (asFactoryLeft) {
            return "as the factory left them";
        }
        return odd.stream()
                .map(o -> o.count() + " "
                        + (o.length() == null
                                ? ""
                                : o.length().name().toLowerCase(Locale.ROOT).replace('_', ' ') + " ")
                        + o.state().name().toLowerCase(Locale.ROOT))
                .collect(Collectors.joining(", "));
    }
}
