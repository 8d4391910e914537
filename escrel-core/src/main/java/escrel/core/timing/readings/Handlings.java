package escrel.core.timing.readings;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;

/**
 * In which order to take positions so that the watch is turned least: a quarter turn counts one, a half turn two. All
 * orders are tried, which for six positions are 720. The first taken is dial up, when it is among them.
 */
public final class Handlings {
    private Handlings() {}

    /** The positions in the order of fewest quarter turns; among equals, the usual order of positions. */
    public static List<Position> order(Collection<Position> wanted) {
        List<List<Position>> orders = new ArrayList<>();
        extend(new ArrayList<>(), wanted.isEmpty() ? EnumSet.noneOf(Position.class) : EnumSet.copyOf(wanted), orders);
        return orders.stream()
                .filter(o -> !wanted.contains(Position.DIAL_UP) || o.get(0) == Position.DIAL_UP)
                .min(Comparator.comparingInt(Handlings::quarterTurns))
                .orElse(List.of());
    }

    private static void extend(List<Position> begun, EnumSet<Position> left, List<List<Position>> into) {
        if (left.isEmpty() && !begun.isEmpty()) {
            into.add(List.copyOf(begun));
        }
        for (Position next : left) {
            EnumSet<Position> rest = EnumSet.copyOf(left);
            rest.remove(next);
            begun.add(next);
            extend(begun, rest, into);
            begun.remove(begun.size() - 1);
        }
    }

    /** Quarter turns from the first to the last of an order. */
    public static int quarterTurns(List<Position> order) {
        int turns = 0;
        for (int i = 1; i < order.size(); i++) {
            turns += quarterTurns(order.get(i - 1), order.get(i));
        }
        return turns;
    }

    /** Quarter turns from one position to another: 0 to itself, 2 to its opposite, else 1. */
    public static int quarterTurns(Position from, Position to) {
        if (from == to) {
            return 0;
        }
        return opposite(from) == to ? 2 : 1;
    }

    private static Position opposite(Position position) {
        return switch (position) {
            case DIAL_UP -> Position.DIAL_DOWN;
            case DIAL_DOWN -> Position.DIAL_UP;
            case CROWN_UP -> Position.CROWN_DOWN;
            case CROWN_DOWN -> Position.CROWN_UP;
            case CROWN_LEFT -> Position.CROWN_RIGHT;
            case CROWN_RIGHT -> Position.CROWN_LEFT;
        };
    }
}
