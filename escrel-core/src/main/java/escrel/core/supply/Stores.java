package escrel.core.supply;

import escrel.core.service.RecordedStep;
import escrel.core.service.StepKind;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.function.ToIntBiFunction;

/** What the workshop has and whom it buys from, from the acts of its log. */
public final class Stores {
    /** The kinds of act of the workshop that make them. */
    public static final List<StepKind<?>> KINDS = List.of(
            StepKind.of(
                    "supplier-kept",
                    SupplierKept.class,
                    (s, n) -> s.name() + " kept, for " + s.trade().words()),
            StepKind.of("supplier-dropped", SupplierDropped.class, (s, n) -> s.name() + " dropped"),
            StepKind.of(
                    "donor-kept",
                    DonorKept.class,
                    (s, n) -> "donor “" + s.name() + "” kept, " + s.lacks().size() + " parts lacking"),
            StepKind.of("donor-gone", DonorGone.class, (s, n) -> "donor gone"),
            StepKind.of("stock-kept", StockKept.class, (s, n) -> "in stock: " + s.name() + " " + s.size()),
            StepKind.of("stock-counted", StockCounted.class, (s, n) -> s.count() + " counted in stock"),
            StepKind.of("stock-came", StockCame.class, (s, n) -> s.by() + " came into stock"),
            StepKind.of("stock-dropped", StockDropped.class, (s, n) -> "kept in stock no more"),
            StepKind.of(
                    "hour-rate",
                    HourRate.class,
                    (s, n) -> "an hour costs "
                            + BigDecimal.valueOf(s.rate()).stripTrailingZeros().toPlainString()));

    /**
     * Something in stock, with how many there were when it was counted last and what came since.
     *
     * @param countedAt when it was counted; when it was first kept, before that
     * @param counted how many then, with what came since
     */
    public record InStock(StockKept what, Instant countedAt, int counted) {}

    private final Map<String, SupplierKept> suppliers = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);
    private final Map<String, DonorKept> donors = new TreeMap<>();
    private final Map<String, InStock> stock = new TreeMap<>();
    private OptionalDouble rate = OptionalDouble.empty();

    private Stores() {}

    /** The stores after these acts; acts of other kinds say nothing of them. */
    public static Stores of(List<RecordedStep> acts) {
        Stores stores = new Stores();
        acts.forEach(stores::fold);
        return stores;
    }

    private void fold(RecordedStep entry) {
        if (entry.step() instanceof SupplierKept s) {
            suppliers.remove(s.name());
            suppliers.put(s.name(), s);
        } else if (entry.step() instanceof SupplierDropped s) {
            suppliers.remove(s.name());
        } else if (entry.step() instanceof DonorKept d) {
            donors.put(d.id(), d);
        } else if (entry.step() instanceof DonorGone d) {
            donors.remove(d.id());
        } else if (entry.step() instanceof StockKept s) {
            stock.merge(
                    s.id(),
                    new InStock(s, entry.at(), 0),
                    (old, now) -> new InStock(s, old.countedAt(), old.counted()));
        } else if (entry.step() instanceof StockCounted c) {
            stock.computeIfPresent(c.id(), (k, old) -> new InStock(old.what(), entry.at(), c.count()));
        } else if (entry.step() instanceof StockCame c) {
            stock.computeIfPresent(
                    c.id(), (k, old) -> new InStock(old.what(), old.countedAt(), old.counted() + c.by()));
        } else if (entry.step() instanceof StockDropped s) {
            stock.remove(s.id());
        } else if (entry.step() instanceof HourRate r) {
            rate = OptionalDouble.of(r.rate());
        }
    }

    /** Whom the workshop buys from and sends work to, by name. */
    public List<SupplierKept> suppliers() {
        return List.copyOf(suppliers.values());
    }

    /** The supplier called so, in whatever case it was typed. */
    public Optional<SupplierKept> supplier(String name) {
        return Optional.ofNullable(suppliers.get(name));
    }

    /** The donors, by name. */
    public List<DonorKept> donors() {
        List<DonorKept> all = new ArrayList<>(donors.values());
        all.sort((a, b) -> String.CASE_INSENSITIVE_ORDER.compare(a.name(), b.name()));
        return List.copyOf(all);
    }

    /** The donor of this mark, if there is one. */
    public Optional<DonorKept> donor(String id) {
        return Optional.ofNullable(donors.get(id));
    }

    /** What is in stock, by kind and name. */
    public List<InStock> stock() {
        List<InStock> all = new ArrayList<>(stock.values());
        all.sort((a, b) -> {
            int kind = a.what().kind().compareTo(b.what().kind());
            int name = String.CASE_INSENSITIVE_ORDER.compare(
                    a.what().name(), b.what().name());
            return kind != 0
                    ? kind
                    : name != 0 ? name : a.what().size().compareTo(b.what().size());
        });
        return List.copyOf(all);
    }

    /** What an hour costs; nothing while nobody said. */
    public OptionalDouble rate() {
        return rate;
    }

    /**
     * How many of something are left; below zero when more were taken than were ever counted, which says that it has to be
     * counted.
     *
     * @param takenSince how many were taken of a source since an instant
     */
    public static int left(InStock item, ToIntBiFunction<String, Instant> takenSince) {
        return item.counted() - takenSince.applyAsInt(item.what().asSource(), item.countedAt());
    }
}
