package escrel.core.lubrication;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.OilPoint;
import escrel.core.service.JobHistory;
import escrel.core.service.Lives;
import escrel.core.service.OpenItem;
import escrel.core.service.RecordedStep;
import escrel.core.service.Tally;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Which lubrication points are due, done or left out. A point is due when its part came off; done or left out counts
 * until the part, or the one that had to be on for it (the bridge of a pivot), is lifted again. Source: craft 9, M17.
 */
public final class LubricationState {
    private final CalibreSheet sheet;
    private final Lives lives;
    private final Map<String, Oiled> done = new HashMap<>();
    private final Map<String, OilSkipped> skipped = new HashMap<>();
    private final Map<String, Integer> settledAt = new HashMap<>();

    private LubricationState(Lives lives) {
        this.lives = lives;
        this.sheet = lives.sheet();
    }

    /** The state after these steps; the later of oiling and leaving out counts. */
    public static LubricationState of(Lives lives, JobHistory history) {
        LubricationState state = new LubricationState(lives);
        for (RecordedStep entry : history.counting(Oiled.class, OilSkipped.class)) {
            if (entry.step() instanceof Oiled oiled) {
                state.done.put(oiled.point(), oiled);
                state.skipped.remove(oiled.point());
                state.settledAt.put(oiled.point(), entry.sequence());
            } else if (entry.step() instanceof OilSkipped skip) {
                state.skipped.put(skip.point(), skip);
                state.done.remove(skip.point());
                state.settledAt.put(skip.point(), entry.sequence());
            }
        }
        return state;
    }

    /** Points whose part came off at some time and is not left out, in the order of the sheet. */
    public List<OilPoint> due() {
        return sheet.oilPoints().stream()
                .filter(p -> lives.offAt(p.part()) > 0 && !lives.leftOut().containsKey(p.part()))
                .toList();
    }

    /** Sequence since which a point is owed: its part came off, or what has to be on for it did. */
    public int owedSince(OilPoint point) {
        return Math.max(lives.offAt(point.part()), offAt(point.after()));
    }

    private int offAt(@Nullable String part) {
        return part == null ? 0 : lives.offAt(part);
    }

    /** Points that are due and neither done nor left out since. */
    public List<OilPoint> open() {
        return due().stream().filter(p -> !isSettled(p)).toList();
    }

    /** Whether a point was done or left out since its part was lifted last. */
    public boolean isSettled(OilPoint point) {
        return settledAt.getOrDefault(point.code(), 0) > owedSince(point);
    }

    /** How a point was lubricated last, if it was. */
    public Optional<Oiled> oiled(String point) {
        return Optional.ofNullable(done.get(point));
    }

    /** Why a point was left out last, if it was. */
    public Optional<OilSkipped> skipped(String point) {
        return Optional.ofNullable(skipped.get(point));
    }

    /** The account of lubrication. Where a sheet lists no point it says so, instead of a silent zero. */
    public Tally tally() {
        List<OilPoint> due = due();
        List<OpenItem> open = due.stream()
                .filter(p -> !isSettled(p))
                .map(p ->
                        new OpenItem("oil:" + p.code() + "@" + owedSince(p), p.part(), p.name(), OpenItem.Place.CLIMB))
                .toList();
        long out = due.stream()
                .filter(p -> isSettled(p) && skipped.containsKey(p.code()))
                .count();
        String settled = sheet.oilPoints().isEmpty()
                ? "nothing is known to be due: the sheet lists no point"
                : "%d done, %d left out with a reason".formatted(due.size() - open.size() - out, out);
        return new Tally(Tally.Kind.LUBRICATION, due.size(), open, settled);
    }
}
