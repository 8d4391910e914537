package escrel.web.inspection;

import escrel.core.mainspring.Mainspring;
import escrel.core.mainspring.SpringsListed.Stocked;
import escrel.core.supply.StockKept;
import escrel.web.stores.Drawers.Drawer;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * A spring that can be had.
 *
 * @param name it is found by
 * @param spring its measures
 * @param source as a decision for it says
 * @param counted how many lie in the workshop's drawers; below zero where only a list has it
 * @param words how many there are and where, or that it is on the list
 */
record SpringAtHand(String name, Mainspring spring, String source, int counted, String words) {
    private static final int ONLY_LISTED = -1;

    /** Springs of the list, and those that are counted in drawers. */
    static List<SpringAtHand> all(List<Stocked> listed, List<Drawer> drawers) {
        List<SpringAtHand> all = new ArrayList<>();
        for (Drawer drawer : drawers) {
            StockKept what = drawer.item().what();
            if (what.kind() == StockKept.Kind.SPRING) {
                Mainspring.ofSize(what.size()).ifPresent(s -> all.add(counted(drawer, what, s)));
            }
        }
        for (Stocked spring : listed) {
            String source = spring.name().isEmpty() ? "the list of springs" : spring.name();
            all.add(new SpringAtHand(
                    spring.name(), spring.spring(), source, ONLY_LISTED, "on the list, counted in no drawer"));
        }
        return all;
    }

    private static SpringAtHand counted(Drawer drawer, StockKept what, Mainspring spring) {
        String where = what.place().isEmpty() ? "" : ", " + what.place();
        return new SpringAtHand(
                what.name(),
                spring,
                (what.name() + " " + what.size()).strip(),
                Math.max(0, drawer.left()),
                drawer.words() + where);
    }

    /** Both where they are the same spring: what is counted goes before what is listed. */
    SpringAtHand and(SpringAtHand other) {
        SpringAtHand first = counted >= other.counted ? this : other;
        String names = Stream.of(name, other.name)
                .filter(n -> !n.isEmpty())
                .distinct()
                .reduce((a, b) -> a + ", " + b)
                .orElse("");
        return new SpringAtHand(names, first.spring, first.source, first.counted, first.words);
    }

    /** Whether one lies there. */
    public boolean isThere() {
        return counted > 0;
    }

    /** Whether its drawer is empty. */
    public boolean isGone() {
        return counted == 0;
    }
}
