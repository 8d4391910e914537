package escrel.web.arrival;

import escrel.core.lume.Lume;
import escrel.core.lume.LumeCounted;
import escrel.core.lume.LumeItem;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * An item's count against the background, on one scale for all items: the background, the line three standard errors above it,
 * and what the item shows.
 *
 * @param background end of the background's bar, 0 to 1000
 * @param limit where three standard errors above the background lie; nothing where the doubt is not known
 * @param gross end of the item's bar
 * @param low lower end of the item's doubt
 * @param high upper end of it
 */
record LumeDrawing(
        LumeItem item,
        String words,
        String figure,
        String style,
        double background,
        @Nullable Double limit,
        double gross,
        double low,
        double high) {
    private static final double WIDTH = 1000;

    static List<LumeDrawing> of(Lume lume) {
        double most = lume.items().stream()
                .map(Lume.Item::counted)
                .filter(c -> c != null)
                .mapToDouble(c -> Math.max(c.grossRate(), c.backgroundRate()) * 1.15)
                .max()
                .orElse(1);
        return lume.items().stream().map(i -> row(i, most <= 0 ? 1 : most)).toList();
    }

    private static LumeDrawing row(Lume.Item item, double most) {
        LumeCounted counted = item.counted();
        String style = "l-" + item.verdict().name().toLowerCase().replace('_', '-');
        if (counted == null) {
            return new LumeDrawing(item.item(), item.verdict().words(), "", style, 0, null, 0, 0, 0);
        }
        double doubt = counted.doubt();
        boolean known = !Double.isNaN(doubt);
        double spread = known ? doubt : 0;
        return new LumeDrawing(
                item.item(),
                item.verdict().words(),
                item.figure(),
                style,
                at(counted.backgroundRate(), most),
                known ? at(counted.backgroundRate() + 3 * doubt, most) : null,
                at(counted.grossRate(), most),
                at(counted.grossRate() - spread, most),
                at(counted.grossRate() + spread, most));
    }

    private static double at(double rate, double most) {
        return Math.max(0, Math.min(WIDTH, WIDTH * rate / most));
    }
}
