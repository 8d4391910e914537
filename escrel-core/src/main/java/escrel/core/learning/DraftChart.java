package escrel.core.learning;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.LubricantClass;
import escrel.core.calibre.Part;
import escrel.core.calibre.Role;
import escrel.core.calibre.Train;
import escrel.core.calibre.WatchClass;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * A chart of lubrication for a calibre that has none: from a wheel's place in the train, from contact faces by the
 * kinds of part. Each point says why; a person corrects it, and the sheet keeps that. Sources: craft 5, M6; how slow a wheel
 * is that wants body in its oil, and what a part is by its name, is ours.
 */
public final class DraftChart {
    /** Seconds a turn from which on a wheel is slow and carries load: between a third and a centre wheel. Ours. */
    private static final double SLOW_SECONDS = 1200;

    private static final Pattern STAYS_DRY = Pattern.compile(
            "\\b(spring|lid|screw|cover|bridge|cock|plate|washer|eccentric|disc|ring|hand|clip|dial|regulator)\\b");

    /**
     * A point as drafted.
     *
     * @param name of the point: the part, and which pivot of it
     * @param why it would be lubricated so
     */
    public record Drafted(Part part, String name, LubricantClass lubricant, String amount, String why) {}

    private final CalibreSheet sheet;
    private final boolean automatic;
    private final List<Drafted> points = new ArrayList<>();
    private final Set<String> inTrain = new HashSet<>();

    private DraftChart(CalibreSheet sheet) {
        this.sheet = sheet;
        this.automatic = sheet.parts().stream().anyMatch(p -> p.group() == Group.AUTOMATIC);
    }

    /**
     * The chart for a movement, whatever its sheet says of oiling; in the order of train and parts. It knows no school: kept, it is
     * read under each workshop's own, as every chart is ({@link escrel.core.calibre.SchoolChart}).
     */
    public static List<Drafted> of(CalibreSheet sheet) {
        DraftChart chart = new DraftChart(sheet);
        chart.train();
        for (Part part : sheet.parts()) {
            if (!part.isPowerDown() && !chart.inTrain.contains(part.code())) {
                chart.part(part, called(part));
            }
        }
        return List.copyOf(chart.points);
    }

    private static String called(Part part) {
        return (part.code().replace('-', ' ') + " " + part.name()).toLowerCase(Locale.ROOT);
    }

    /** Fast and light is fine, slow and heavy is medium; a pivot at either end. */
    private void train() {
        Train train = sheet.train();
        if (train == null) {
            return;
        }
        List<Double> periods = train.periodsSeconds();
        for (int i = 0; i < train.mobiles().size(); i++) {
            Part part = sheet.part(train.mobiles().get(i).part()).orElse(null);
            if (part == null) {
                continue;
            }
            inTrain.add(part.code());
            boolean slow = periods.get(i) >= SLOW_SECONDS;
            LubricantClass lubricant = slow ? LubricantClass.MEDIUM_OIL : LubricantClass.FINE_OIL;
            String why =
                    (slow ? "slow and loaded: a turn takes " : "quick and light: a turn takes ") + turn(periods.get(i));
            add(part, part.name() + ", upper pivot", lubricant, why);
            add(part, part.name() + ", lower pivot", lubricant, why);
        }
    }

    private static String turn(double seconds) {
        return seconds >= 3600
                ? Math.round(seconds / 360) / 10.0 + " h"
                : seconds >= 60 ? Math.round(seconds / 6) / 10.0 + " min" : Math.round(10 * seconds) / 10.0 + " s";
    }

    private void add(Part part, String name, LubricantClass lubricant, String why) {
        points.add(new Drafted(part, name, lubricant, lubricant.usualAmount(), why));
    }

    private void add(Part part, LubricantClass lubricant, String why) {
        add(part, part.name(), lubricant, why);
    }

    private void part(Part part, String name) {
        Role role = part.role();
        if (role != null && byRole(part, role)) {
            return;
        }
        switch (part.group()) {
            case BALANCE_AND_ESCAPEMENT -> {
                if (is(name, "cap", "setting")) {
                    add(part, LubricantClass.FINE_OIL, "the balance's pivot runs on it");
                }
            }
            case BARREL -> winding(part, name);
            case KEYLESS -> keyless(part, name);
            case TRAIN -> {
                if (is(name, "pinion") && !STAYS_DRY.matcher(name).find()) {
                    add(part, LubricantClass.FINE_OIL, "a light pinion beside the train");
                }
            }
            case CALENDAR -> calendar(part, name);
            case AUTOMATIC -> automatic(part, name);
            case CHRONOGRAPH -> chronograph(part, name);
            case ALARM -> alarm(part, name);
            default -> {
                // case, dial, motion work without a role, plates: dry
            }
        }
    }

    /** Whether what the part is to the order says it all. */
    private boolean byRole(Part part, Role role) {
        switch (role) {
            case PALLET_FORK -> {
                add(
                        part,
                        "Exit stone",
                        LubricantClass.PALLET,
                        "the impulse; carried to every tooth; its pivots stay dry");
            }
            case ESCAPE_WHEEL -> {
                add(part, part.name() + ", upper pivot", LubricantClass.FINE_OIL, "the quickest of the train");
                add(part, part.name() + ", lower pivot", LubricantClass.FINE_OIL, "the quickest of the train");
            }
            case MAINSPRING -> spring(part);
            case BARREL -> {
                add(part, part.name() + ", upper pivot", LubricantClass.MEDIUM_OIL, "the slowest and most loaded");
                add(part, part.name() + ", lower pivot", LubricantClass.MEDIUM_OIL, "the slowest and most loaded");
            }
            case CANNON_PINION -> add(part, LubricantClass.CONTACT_GREASE, "its friction carries the hands");
            case MINUTE_WHEEL -> add(part, LubricantClass.MEDIUM_OIL, "its post");
            case CROWN_WHEEL -> {
                boolean core = sheet.parts().stream()
                        .map(DraftChart::called)
                        .anyMatch(n -> is(n, "crown wheel") && is(n, "ring", "core"));
                if (!core) {
                    add(part, LubricantClass.MEDIUM_OIL, "it turns on its core");
                }
            }
            case STEM -> {
                if (sheet.data().watchClass() != WatchClass.POCKET) {
                    add(part, LubricantClass.GASKET_GREASE, "the crown's seal");
                }
            }
            case RATCHET_WHEEL, HOUR_WHEEL, DIAL, HANDS -> {
                // dry
            }
            default -> {
                return false;
            }
        }
        return true;
    }

    private void spring(Part part) {
        add(part, LubricantClass.MAINSPRING_GREASE, "leaf slides upon leaf");
        if (automatic) {
            add(
                    part,
                    "Wall of the drum",
                    LubricantClass.BRAKING_GREASE,
                    "the bridle of an automatic slips on it, and must brake");
        }
    }

    private void winding(Part part, String name) {
        if (is(name, "arbor")) {
            add(part, LubricantClass.MEDIUM_OIL, "it turns in drum and lid under full load");
        } else if (is(name, "click") && !is(name, "spring")) {
            add(part, LubricantClass.CONTACT_GREASE, "it rides over every ratchet tooth");
        } else if (is(name, "crown wheel") && is(name, "ring", "core")) {
            add(part, LubricantClass.MEDIUM_OIL, "the crown wheel turns on it");
        }
    }

    private void keyless(Part part, String name) {
        if (is(name, "clutch")) {
            add(part, LubricantClass.CONTACT_GREASE, "its groove, and the square it slides on");
        } else if (is(name, "winding pinion")) {
            add(part, LubricantClass.CONTACT_GREASE, "its face against the clutch");
        } else if (is(name, "setting lever spring", "setting lever cover")) {
            add(part, LubricantClass.CONTACT_GREASE, "the nose of the lever clicks along it");
        } else if (is(name, "setting wheel")) {
            add(part, LubricantClass.MEDIUM_OIL, "its post");
        } else if (is(name, "crown wheel")) {
            add(part, LubricantClass.MEDIUM_OIL, "it turns on its core");
        }
    }

    /** Almost dry: the jumper's nose and the posts of what drives. */
    private void calendar(Part part, String name) {
        if (is(name, "jumper") && !is(name, "spring")) {
            add(part, LubricantClass.CONTACT_GREASE, "its nose rides over the teeth");
        } else if (is(name, "driv", "finger") && is(name, "wheel", "driver")) {
            add(part, LubricantClass.MEDIUM_OIL, "its post");
        }
    }

    private void automatic(Part part, String name) {
        if (is(name, "revers")) {
            return;
        }
        if (is(name, "bearing", "post")) {
            add(part, LubricantClass.MEDIUM_OIL, "the weight turns on it");
        } else if (is(name, "reduction", "driv", "wheel")
                && !STAYS_DRY.matcher(name).find()) {
            add(part, LubricantClass.MEDIUM_OIL, "slow, between weight and barrel");
        }
    }

    private void chronograph(Part part, String name) {
        if (STAYS_DRY.matcher(name).find() || is(name, "jumper", "heart", "driving", "intermediate")) {
            return;
        }
        if (is(name, "column")) {
            add(part, part.name() + ", columns", LubricantClass.CONTACT_GREASE, "levers slide along them");
            add(part, part.name() + ", post", LubricantClass.MEDIUM_OIL, "its post");
        } else if (is(name, "hammer")) {
            add(part, part.name() + ", pivot", LubricantClass.MEDIUM_OIL, "a slow lever");
            add(part, part.name() + ", faces", LubricantClass.CONTACT_GREASE, "they strike and slide on the hearts");
        } else if (is(name, "runner", "counter")) {
            add(part, LubricantClass.FINE_OIL, "a light wheel that the train has to turn");
        } else if (is(name, "lever", "clutch", "brake")) {
            add(part, LubricantClass.MEDIUM_OIL, "the pivot of a lever");
        }
    }

    private void alarm(Part part, String name) {
        if (STAYS_DRY.matcher(name).find()) {
            return;
        }
        if (is(name, "barrel")) {
            add(part, LubricantClass.MEDIUM_OIL, "slow and loaded");
        } else if (is(name, "hammer")) {
            add(part, LubricantClass.MEDIUM_OIL, "its pivot");
        } else if (is(name, "escape")) {
            add(part, LubricantClass.FINE_OIL, "quick and light");
        }
    }

    private static boolean is(String name, String... words) {
        for (String word : words) {
            if (name.contains(word)) {
                return true;
            }
        }
        return false;
    }
}
