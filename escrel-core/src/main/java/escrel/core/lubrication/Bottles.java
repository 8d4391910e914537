package escrel.core.lubrication;

import escrel.core.calibre.LubricantClass;
import escrel.core.service.RecordedStep;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The bottles of the workshop, each of a class of lubricant. How early and how long an open one is warned of is ours. */
public final class Bottles {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH);
    private static final int SOON_DAYS = 30;
    private static final int OPEN_YEARS = 3;

    private final Map<String, BottleKept> kept = new LinkedHashMap<>();

    private Bottles() {}

    /** The bottles after these acts. */
    public static Bottles of(List<RecordedStep> acts) {
        Bottles bottles = new Bottles();
        for (RecordedStep entry : acts) {
            if (entry.step() instanceof BottleKept bottle) {
                // kept again, it is the one in use
                bottles.kept.remove(bottle.id());
                bottles.kept.put(bottle.id(), bottle);
            } else if (entry.step() instanceof BottleGone gone) {
                bottles.kept.remove(gone.id());
            }
        }
        return bottles;
    }

    /** By class, the one in use first. */
    public List<BottleKept> all() {
        List<BottleKept> newestFirst = new ArrayList<>(kept.values());
        Collections.reverse(newestFirst);
        return newestFirst.stream()
                .sorted(Comparator.comparing(BottleKept::lubricant))
                .toList();
    }

    /** The bottle of a class that is in use: the one kept last. */
    public Optional<BottleKept> inUse(LubricantClass lubricant) {
        return all().stream().filter(b -> b.lubricant() == lubricant).findFirst();
    }

    /** How a bottle stands. */
    public enum Stand {
        GOOD,
        SOON,
        OVER
    }

    /** Whether it may be used on a day. */
    public static Stand stand(BottleKept bottle, LocalDate today) {
        LocalDate useBy = bottle.useBy();
        LocalDate opened = bottle.opened();
        if (useBy != null && today.isAfter(useBy)) {
            return Stand.OVER;
        }
        boolean soon = useBy != null && ChronoUnit.DAYS.between(today, useBy) <= SOON_DAYS;
        boolean longOpen = opened != null && opened.plusYears(OPEN_YEARS).isBefore(today);
        return soon || longOpen ? Stand.SOON : Stand.GOOD;
    }

    /** What is to be known of it on a day; empty where it is good. */
    public static String warning(BottleKept bottle, LocalDate today) {
        LocalDate useBy = bottle.useBy();
        return switch (stand(bottle, today)) {
            case OVER -> "past its day: was to be used by " + said(useBy);
            case SOON ->
                useBy != null && ChronoUnit.DAYS.between(today, useBy) <= SOON_DAYS
                        ? "to be used by " + said(useBy)
                        : "open for more than " + OPEN_YEARS + " years";
            case GOOD -> "";
        };
    }

    private static String said(@Nullable LocalDate day) {
        return day == null ? "" : DAY.format(day);
    }
}
