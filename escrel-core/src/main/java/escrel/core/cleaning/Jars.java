package escrel.core.cleaning;

import escrel.core.service.RecordedStep;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The jars of the workshop's machine: what went through each since it was filled. Source: craft 2.11 (loads and their dirt are
 * counted, the dirtiest last before a change).
 */
public final class Jars {
    /**
     * A jar.
     *
     * @param loads that went through it since it was filled
     * @param soil theirs together
     * @param changeAfter soil from which on it is to be strained or changed
     */
    public record Jar(String name, int loads, int soil, int changeAfter) {
        /** Whether it is to be strained or changed before the next load. */
        public boolean isSpent() {
            return soil >= changeAfter;
        }

        /** Whether another load like this spends it: the time for a dirty one. */
        public boolean isLastFor(int load) {
            return !isSpent() && soil + load >= changeAfter;
        }

        /** What is said of it. */
        public String words() {
            String so = loads == 0
                    ? "fresh"
                    : loads + (loads == 1 ? " load" : " loads") + ", soil " + soil + " of " + changeAfter;
            return isSpent() ? so + ": strain or change it" : so;
        }
    }

    private final ProgrammeKept programme;
    private final Map<String, int[]> used = new LinkedHashMap<>();

    private Jars(ProgrammeKept programme) {
        this.programme = programme;
    }

    /** The jars after these acts; a load counts as soon as it went in. */
    public static Jars of(List<RecordedStep> acts) {
        ProgrammeKept programme = acts.stream()
                .map(RecordedStep::step)
                .filter(ProgrammeKept.class::isInstance)
                .map(ProgrammeKept.class::cast)
                .reduce((earlier, later) -> later)
                .orElse(ProgrammeKept.USUAL);
        Jars jars = new Jars(programme);
        for (RecordedStep entry : acts) {
            if (entry.step() instanceof LoadStarted load) {
                load.jars().stream().filter(j -> !j.isEmpty()).distinct().forEach(j -> {
                    int[] so = jars.used.computeIfAbsent(j, k -> new int[2]);
                    so[0]++;
                    so[1] += load.soil();
                });
            } else if (entry.step() instanceof JarFilled filled) {
                jars.used.remove(filled.jar());
            }
        }
        return jars;
    }

    /** What the machine does. */
    public ProgrammeKept programme() {
        return programme;
    }

    /** In the order of the programme. */
    public List<Jar> all() {
        List<Jar> all = new ArrayList<>();
        programme.jars().stream().filter(j -> !j.isEmpty()).distinct().forEach(j -> {
            int[] so = used.getOrDefault(j, new int[2]);
            all.add(new Jar(j, so[0], so[1], programme.changeAfter()));
        });
        return all;
    }

    /** What is to be known before a load of this soil goes in; empty where nothing is. */
    public String advice(int soil) {
        for (Jar jar : all()) {
            if (jar.isSpent()) {
                return "The jar “" + jar.name() + "” is spent: strain or change it before this load.";
            }
        }
        for (Jar jar : all()) {
            if (jar.isLastFor(soil)) {
                return "After this load the jar “" + jar.name()
                        + "” is spent: if a dirtier movement waits, it goes last.";
            }
        }
        return soil >= Soil.HEAVY
                ? "A heavy load in good baths: pre-clean it, or keep it until just before a change."
                : "";
    }
}
