package escrel.core.lume;

import escrel.core.service.Step;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Where luminous paint was seen. Paint of unknown age is treated as radioactive until it is counted; the latest counts.
 *
 * @param items that carry paint; none where nobody saw any
 */
public record LumeSeen(List<LumeItem> items) implements Step {
    public LumeSeen {
        items = items == null ? List.of() : items.stream().distinct().sorted().toList();
    }

    /** As it is said. */
    public String words() {
        return items.isEmpty()
                ? "no luminous paint seen"
                : "luminous paint on: " + items.stream().map(LumeItem::words).collect(Collectors.joining(", "));
    }
}
