package escrel.core.learning;

import escrel.core.calibre.Group;
import escrel.core.calibre.Hazard;
import escrel.core.calibre.Role;
import escrel.core.calibre.Wash;
import java.text.Normalizer;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The names of parts, by group, so that a part is named with two or three keys. Source: craft 3. */
public final class Vocabulary {
    /**
     * A kind of part.
     *
     * @param role what it is to the ordering rules, or nothing
     * @param hazards what such a part usually does
     */
    public record Kind(String name, @Nullable Role role, List<Hazard> hazards) {}

    private static final Map<Group, List<Kind>> KINDS = Map.ofEntries(
            Map.entry(
                    Group.CASE,
                    List.of(
                            kind("Case back", Role.CASE_BACK, List.of()),
                            kind("Stem", Role.STEM, List.of()),
                            kind("Case screw or clamp"),
                            kind("Casing ring"),
                            kind("Watch case"),
                            kind("Crown"),
                            kind("Pusher"),
                            kind("Gasket"),
                            kind("Bezel"),
                            kind("Crystal"),
                            kind("Turning ring"),
                            kind("Retaining ring"),
                            kind("Holding ring"),
                            kind("Dust cover"),
                            kind("Bezel spring", null, List.of(Hazard.FLIES)),
                            kind("Crown tube"),
                            kind("Strap"))),
            Map.entry(
                    Group.DIAL_AND_HANDS,
                    List.of(
                            kind("Hands", Role.HANDS, List.of(Hazard.FRAGILE)),
                            kind("Dial", Role.DIAL, List.of(Hazard.FRAGILE)),
                            kind("Seconds hand", Role.HANDS, List.of(Hazard.FRAGILE)),
                            kind("Minute hand", Role.HANDS, List.of(Hazard.FRAGILE)),
                            kind("Hour hand", Role.HANDS, List.of(Hazard.FRAGILE)),
                            kind("Dial washer"),
                            kind("Dial screw"),
                            kind("Sub-dial hand", Role.HANDS, List.of(Hazard.FRAGILE)),
                            kind("Spacer"))),
            Map.entry(
                    Group.AUTOMATIC,
                    List.of(
                            kind("Weight"),
                            kind("Automatic bridge"),
                            kind("Reversing wheel"),
                            kind("Reduction wheel"),
                            kind("Driving wheel"),
                            kind("Pawl lever", null, List.of(Hazard.FLIES)),
                            kind("Weight bearing"),
                            kind("Connecting wheel"))),
            Map.entry(
                    Group.CALENDAR,
                    List.of(
                            kind("Date ring"),
                            kind("Day disc"),
                            kind("Date jumper", null, List.of(Hazard.FLIES)),
                            kind("Jumper spring", null, List.of(Hazard.FLIES)),
                            kind("Date driving wheel"),
                            kind("Quick-set lever"),
                            kind("Cover plate"),
                            kind("Clip", null, List.of(Hazard.FLIES)),
                            kind("Intermediate date wheel"))),
            Map.entry(
                    Group.MOTION_WORK,
                    List.of(
                            kind("Hour wheel", Role.HOUR_WHEEL, List.of()),
                            kind("Minute wheel", Role.MINUTE_WHEEL, List.of()),
                            kind("Cannon pinion", Role.CANNON_PINION, List.of(Hazard.FRICTION_FIT)),
                            kind("Intermediate setting wheel"),
                            kind("Motion work bridge"),
                            kind("Friction spring", null, List.of(Hazard.FLIES)))),
            Map.entry(
                    Group.KEYLESS,
                    List.of(
                            kind("Setting lever spring (cover)"),
                            kind("Yoke spring", null, List.of(Hazard.FLIES)),
                            kind("Yoke"),
                            kind("Setting lever"),
                            kind("Clutch"),
                            kind("Winding pinion"),
                            kind("Setting lever screw"),
                            kind("Setting wheel"),
                            kind("Second stem"))),
            Map.entry(
                    Group.BALANCE_AND_ESCAPEMENT,
                    List.of(
                            kind("Balance with its cock", Role.BALANCE_COCK, List.of(Hazard.FRAGILE)),
                            kind("Pallet bridge", Role.PALLET_BRIDGE, List.of()),
                            kind("Pallet fork", Role.PALLET_FORK, List.of(Hazard.FRAGILE)),
                            kind("Balance", null, List.of(Hazard.FRAGILE)),
                            kind("Hairspring", null, List.of(Hazard.FRAGILE)),
                            kind("Shock setting", null, List.of(Hazard.FLIES)),
                            kind("Cap jewel", null, List.of(Hazard.FLIES)),
                            kind("Regulator"),
                            kind("Stud carrier"))),
            Map.entry(
                    Group.TRAIN,
                    List.of(
                            kind("Train bridge", Role.TRAIN_BRIDGE, List.of()),
                            kind("Escape wheel", Role.ESCAPE_WHEEL, List.of(Hazard.FRAGILE)),
                            kind("Fourth wheel", null, List.of(Hazard.LONG_PIVOT)),
                            kind("Third wheel"),
                            kind("Centre wheel"),
                            kind("Centre-seconds pinion", null, List.of(Hazard.FRAGILE)),
                            kind("Friction spring", null, List.of(Hazard.FLIES)),
                            kind("Driving wheel"),
                            kind("Centre bridge", Role.TRAIN_BRIDGE, List.of()))),
            Map.entry(
                    Group.BARREL,
                    List.of(
                            kind("Power let down", Role.POWER_DOWN, List.of(Hazard.TENSION)),
                            kind("Ratchet wheel", Role.RATCHET_WHEEL, List.of()),
                            kind("Crown wheel", Role.CROWN_WHEEL, List.of()),
                            kind("Barrel bridge", Role.BARREL_BRIDGE, List.of()),
                            kind("Barrel", Role.BARREL, List.of()),
                            kind("Click"),
                            kind("Click spring", null, List.of(Hazard.FLIES)),
                            kind("Crown wheel ring or core"),
                            kind("Mainspring", Role.MAINSPRING, List.of(Hazard.FLIES)),
                            kind("Barrel arbor"))),
            Map.entry(
                    Group.CHRONOGRAPH,
                    List.of(
                            kind("Hammer spring", null, List.of(Hazard.FLIES)),
                            kind("Hammer"),
                            kind("Operating lever"),
                            kind("Column wheel or cam"),
                            kind("Runner", null, List.of(Hazard.LONG_PIVOT)),
                            kind("Coupling clutch"),
                            kind("Minute counter"),
                            kind("Brake"),
                            kind("Jumper", null, List.of(Hazard.FLIES)),
                            kind("Hour counter"),
                            kind("Eccentric", null, List.of(Hazard.ECCENTRIC)),
                            kind("Chronograph bridge"))),
            Map.entry(
                    Group.ALARM,
                    List.of(
                            kind("Alarm power let down", Role.POWER_DOWN, List.of(Hazard.TENSION)),
                            kind("Alarm barrel"),
                            kind("Alarm wheel"),
                            kind("Alarm disc with release"),
                            kind("Hammer"),
                            kind("Hammer spring", null, List.of(Hazard.FLIES)),
                            kind("Stop lever"),
                            kind("Alarm ratchet wheel", Role.RATCHET_WHEEL, List.of()),
                            kind("Post or gong"),
                            kind("Alarm stem"),
                            kind("Alarm bridge"))),
            Map.entry(
                    Group.PLATES,
                    List.of(
                            kind("Main plate"),
                            kind("Bridge"),
                            kind("Cock"),
                            kind("Clamp"),
                            kind("Spring", null, List.of(Hazard.FLIES)),
                            kind("Lever"),
                            kind("Screw"),
                            kind("Unknown part"))));

    private static final Set<Role> OF_SEVERAL = EnumSet.of(
            Role.POWER_DOWN,
            Role.RATCHET_WHEEL,
            Role.TRAIN_BRIDGE,
            Role.BARREL_BRIDGE,
            Role.BARREL,
            Role.MAINSPRING,
            Role.HANDS);

    /**
     * How a part is cleaned by its kind.
     *
     * @param why it stays out of the machine; empty when it does not
     */
    public record Cleaning(Wash wash, String why) {}

    private static final String WITH = " with ";

    private Vocabulary() {}

    /** Whether a movement may have several parts of a role, so that each has its warnings. */
    public static boolean mayBeSeveral(Role role) {
        return OF_SEVERAL.contains(role);
    }

    /** How a part is cleaned by what it is called, until somebody knows better. Source: craft 2.11, 10. */
    public static Cleaning cleaning(Group group, @Nullable Role role, String name) {
        String words = name.toLowerCase(Locale.ROOT);
        if (group == Group.DIAL_AND_HANDS && (role == Role.DIAL || role == Role.HANDS || words.contains("hand"))) {
            return new Cleaning(Wash.STANCE, "dial and hands are never washed beyond the agreed stance");
        }
        if (group == Group.CASE && role != Role.STEM && !words.contains("stem")) {
            return new Cleaning(Wash.WATER_BATH, "cases go through their own water-based bath");
        }
        if (words.contains("hairspring")) {
            return new Cleaning(Wash.DIP, "a hairspring is dipped in a quick solvent");
        }
        if (role == Role.PALLET_FORK) {
            return new Cleaning(Wash.DIP, "alcohol and heat loosen the shellac of its stones");
        }
        if (group == Group.CALENDAR
                && (words.contains("ring") && !words.contains("spring") || words.contains("disc"))) {
            return new Cleaning(Wash.BY_HAND, "its numbers are printed");
        }
        return new Cleaning(Wash.MACHINE, "");
    }

    /**
     * The kind that a name in free words speaks of: one of the very name in whatever group, else one of its group all of
     * whose words stand in it, as "Bridge over both barrels" is a barrel bridge. A kind of one word is what the name ends
     * with, or what it says has something with it: a stem's gasket is no stem, "Stem with crown" is one. The one of most
     * words where several do; nothing where none does.
     */
    public static Optional<Kind> kindLike(Group group, String name) {
        String words = name.toLowerCase(Locale.ROOT);
        Optional<Kind> same = Stream.of(Group.values())
                .flatMap(g -> of(g).stream())
                .filter(k -> k.name().equalsIgnoreCase(name))
                .findFirst();
        if (same.isPresent()) {
            return same;
        }
        return of(group).stream()
                .filter(k -> speaksOf(words, k.name().toLowerCase(Locale.ROOT)))
                .max(Comparator.<Kind>comparingInt(k -> k.name().split(" ").length)
                        .thenComparing(k -> words.startsWith(k.name().toLowerCase(Locale.ROOT) + WITH)));
    }

    private static boolean speaksOf(String words, String kind) {
        return kind.contains(" ")
                ? Arrays.stream(kind.split("[^a-z]+")).allMatch(words::contains)
                : words.equals(kind) || words.endsWith(" " + kind) || words.startsWith(kind + WITH);
    }

    /** What a part usually does by what it is called, for names that are no kind of ours. */
    public static List<Hazard> hazardsOf(String name) {
        String words = name.toLowerCase(Locale.ROOT);
        boolean flies = words.contains("spring") || words.contains("jumper") || words.contains("clip");
        return flies && !words.contains("spring bar") ? List.of(Hazard.FLIES) : List.of();
    }

    private static Kind kind(String name) {
        return new Kind(name, null, List.of());
    }

    private static Kind kind(String name, @Nullable Role role, List<Hazard> hazards) {
        return new Kind(name, role, hazards);
    }

    /** The kinds of a group, the commonest first. */
    public static List<Kind> of(Group group) {
        return Objects.requireNonNull(KINDS.get(group));
    }

    /**
     * A code for a name that is not taken yet: "Third wheel" becomes third-wheel, a second one third-wheel-2.
     *
     * @param name with at least one letter or digit, else the code is "part"
     */
    public static String codeFor(String name, Set<String> taken) {
        String plain = Normalizer.normalize(name, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-|-$", "");
        String base = plain.isEmpty() ? "part" : plain.substring(0, Math.min(40, plain.length()));
        String code = base;
        for (int n = 2; taken.contains(code); n++) {
            code = base + "-" + n;
        }
        return code;
    }
}
