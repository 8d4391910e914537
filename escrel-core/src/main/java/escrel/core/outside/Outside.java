package escrel.core.outside;

import escrel.core.condition.Grade;
import escrel.core.service.JobHistory;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/** The outside of a watch as it was seen, and the parcel it came in. */
public final class Outside {
    private final Map<OutsidePiece, Optional<Grade>> seen = new EnumMap<>(OutsidePiece.class);
    private final @Nullable ParcelCame parcel;

    private Outside(JobHistory history) {
        history.all(OutsideSeen.class)
                .forEach(s -> s.pieces().forEach(p -> seen.put(p, Optional.ofNullable(s.grade()))));
        parcel = history.last(ParcelCame.class).orElse(null);
    }

    /** The outside after these steps. */
    public static Outside of(JobHistory history) {
        return new Outside(history);
    }

    /** Whether it was looked at; a piece that the watch has not got is seen too. */
    public boolean isSeen(OutsidePiece piece) {
        return seen.containsKey(piece);
    }

    /** How it looks; nothing while nobody looked, or where there is none. */
    public Optional<Grade> grade(OutsidePiece piece) {
        return seen.getOrDefault(piece, Optional.empty());
    }

    /** Whether it was said that this watch has none. */
    public boolean hasNone(OutsidePiece piece) {
        return isSeen(piece) && grade(piece).isEmpty();
    }

    /** What nobody looked at yet, in the order in which one looks. */
    public List<OutsidePiece> left() {
        return Arrays.stream(OutsidePiece.values()).filter(p -> !isSeen(p)).toList();
    }

    /** What came in the parcel; nothing while nobody said. */
    public Optional<ParcelCame> parcel() {
        return Optional.ofNullable(parcel);
    }

    /**
     * Whether pieces are sound: none of them to be mended, broken or missing.
     *
     * @return nothing while one of them was not looked at, unless another is bad already
     */
    public Optional<Boolean> isSound(Predicate<OutsidePiece> which) {
        List<OutsidePiece> those =
                Arrays.stream(OutsidePiece.values()).filter(which).toList();
        boolean bad = those.stream()
                .anyMatch(p -> grade(p).filter(Grade::needsDecision).isPresent());
        if (bad) {
            return Optional.of(false);
        }
        boolean told = those.stream()
                .allMatch(p ->
                        isSeen(p) && grade(p).filter(g -> g == Grade.NOT_JUDGED).isEmpty());
        return told ? Optional.of(true) : Optional.empty();
    }
}
