package escrel.core.learning;

import escrel.core.calibre.ScrewPlace.Finish;
import escrel.core.calibre.ScrewPlace.Head;
import escrel.core.calibre.ScrewPlace.Home;
import escrel.core.calibre.ScrewPlace.LengthClass;
import escrel.core.calibre.ScrewPlace.Thread;
import escrel.core.service.ScrewsFound;
import escrel.core.service.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * How many screws held a part and of what kinds; the latest statement counts, all of it. The first kind stands in fields of
 * its own, since earlier versions knew no other.
 *
 * @param count 0 to 20
 * @param head of the first kind; nothing when nobody said
 * @param finish of the first kind
 * @param home where they may go back; nothing when nobody said
 * @param more further kinds, at most {@link #MOST_KINDS} with the first
 */
public record ScrewsStated(
        String part,
        int count,
        LengthClass length,
        Thread thread,
        @Nullable Head head,
        @Nullable Finish finish,
        @Nullable Home home,
        @Nullable List<Row> more)
        implements Step {
    /** Most kinds of screw of one part. */
    public static final int MOST_KINDS = 6;

    /**
     * So many screws of one kind.
     *
     * @param count 0 to 20
     */
    public record Row(
            int count,
            LengthClass length,
            Thread thread,
            @Nullable Head head,
            @Nullable Finish finish,
            @Nullable Home home) {
        public Row {
            if (count < 0 || count > ScrewsFound.MOST) {
                throw new IllegalArgumentException(
                        "the number of screws must lie between 0 and " + ScrewsFound.MOST + ", was " + count);
            }
        }

        /** Screws of which no more was said. */
        public static Row of(int count, LengthClass length, Thread thread) {
            return new Row(count, length, thread, null, null, null);
        }

        /** The same with this head. */
        public Row withHead(Head newHead) {
            return new Row(count, length, thread, newHead, finish, home);
        }

        /** The same with this finish. */
        public Row withFinish(Finish newFinish) {
            return new Row(count, length, thread, head, newFinish, home);
        }

        /** The same going back there. */
        public Row withHome(Home newHome) {
            return new Row(count, length, thread, head, finish, newHome);
        }
    }

    public ScrewsStated {
        more = more == null ? List.of() : List.copyOf(more);
        if (count < 0 || count > ScrewsFound.MOST) {
            throw new IllegalArgumentException(
                    "the number of screws must lie between 0 and " + ScrewsFound.MOST + ", was " + count);
        }
        if (more.size() >= MOST_KINDS) {
            throw new IllegalArgumentException("a part has at most " + MOST_KINDS + " kinds of screw");
        }
    }

    /** Screws of one kind. */
    public ScrewsStated(String part, int count, LengthClass length, Thread thread) {
        this(part, count, length, thread, null, null, null, List.of());
    }

    /** Screws of one or several kinds; an empty list means that no screw holds the part. */
    public static ScrewsStated of(String part, List<Row> rows) {
        if (rows.isEmpty()) {
            return new ScrewsStated(part, 0, LengthClass.SHORT, Thread.RIGHT);
        }
        Row first = rows.get(0);
        return new ScrewsStated(
                part,
                first.count(),
                first.length(),
                first.thread(),
                first.head(),
                first.finish(),
                first.home(),
                rows.subList(1, rows.size()));
    }

    /** Every kind, the first first. */
    public List<Row> rows() {
        List<Row> rows = new ArrayList<>();
        rows.add(new Row(count, length, thread, head, finish, home));
        rows.addAll(Objects.requireNonNull(more));
        return List.copyOf(rows);
    }

    @Override
    public Step withParts(UnaryOperator<String> code) {
        return new ScrewsStated(code.apply(part), count, length, thread, head, finish, home, more);
    }
}
