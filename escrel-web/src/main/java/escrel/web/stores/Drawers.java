package escrel.web.stores;

import escrel.core.supply.Stores;
import escrel.web.storage.SupplyMapper;
import escrel.web.storage.SupplyMapper.DrawerCounted;
import escrel.web.storage.WorkshopLogs;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** What lies in the drawers: counted once, less what jobs took since. */
@Component
public class Drawers {
    private final WorkshopLogs log;
    private final SupplyMapper mapper;

    Drawers(WorkshopLogs log, SupplyMapper mapper) {
        this.log = log;
        this.mapper = mapper;
    }

    /**
     * One kind of thing.
     *
     * @param left how many there are; below zero where more were taken than counted
     * @param full share of a drawer drawn as full, 0 to 100; twice the lowest number fills it
     * @param line where the lowest number lies in it
     */
    public record Drawer(Stores.InStock item, int left, int full, int line) {
        /** Whether more are wanted. */
        public boolean low() {
            return left <= item.what().lowest();
        }

        /** What is said of the number. */
        public String words() {
            if (left < 0) {
                return "more were taken than counted: count it";
            }
            return left == 0 ? "none left" : low() ? left + " left: order more" : left + " left";
        }
    }

    /** All of them, by kind and name. */
    public List<Drawer> all() {
        List<Stores.InStock> stock = log.load().stores().stock();
        Map<String, Integer> taken = taken(stock);
        return stock.stream().map(item -> drawer(item, taken)).toList();
    }

    private static Drawer drawer(Stores.InStock item, Map<String, Integer> taken) {
        int left = left(item, taken);
        int scale = Math.max(1, Math.max(2 * item.what().lowest(), left));
        return new Drawer(
                item, left, Math.max(0, 100 * left / scale), 100 * item.what().lowest() / scale);
    }

    /** How many are left. */
    public int left(Stores.InStock item) {
        return left(item, taken(List.of(item)));
    }

    private static int left(Stores.InStock item, Map<String, Integer> taken) {
        return Stores.left(item, (source, since) -> taken.getOrDefault(source, 0));
    }

    /** What jobs took of each since it was counted, by its source. */
    private Map<String, Integer> taken(List<Stores.InStock> stock) {
        Map<String, Integer> taken = new HashMap<>();
        if (!stock.isEmpty()) {
            List<DrawerCounted> counted = stock.stream()
                    .map(i -> new DrawerCounted(
                            i.what().asSource(),
                            i.countedAt().atZone(ZoneId.systemDefault()).toOffsetDateTime()))
                    .toList();
            mapper.takenSince(counted)
                    .forEach(t -> taken.put(counted.get(t.place()).source(), t.taken()));
        }
        return taken;
    }
}
