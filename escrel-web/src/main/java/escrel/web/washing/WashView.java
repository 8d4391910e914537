package escrel.web.washing;

import escrel.core.calibre.Part;
import escrel.core.calibre.Wash;
import escrel.core.cleaning.Basket;
import escrel.core.cleaning.CleaningState;
import escrel.core.cleaning.Jars;
import escrel.core.cleaning.LoadStarted;
import escrel.core.cleaning.Soil;
import escrel.core.cleaning.WashPlan;
import escrel.core.clock.Clocks;
import escrel.web.job.OpenJob;
import escrel.web.plan.PartOutline;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The wash of a job as drawn.
 *
 * @param tiles the baskets with what waits in them
 * @param clean what is clean, by how it was cleaned
 * @param prepare what prepares parts, and how many wait for it
 * @param machine codes of what would go into the machine now
 * @param load that is in the machine with parts that wait for it; nothing where none is
 * @param inJar the jar in which it hangs now; empty where it hangs in none
 * @param due how many parts owe a rinse
 */
record WashView(
        List<Tile> tiles,
        Map<Wash, List<Part>> clean,
        Map<Wash, Integer> prepare,
        List<String> machine,
        Clocks.@Nullable Running load,
        String inJar,
        Soil soil,
        List<Jars.Jar> jars,
        String advice,
        int due,
        boolean nothingOff) {
    /** Keys of the baskets; 6 leads to the climb. */
    private static final List<Character> KEYS = List.of('1', '2', '3', '4', '5', '7', '8', '9');

    /** The golden angle: things laid out by it lie as close as seeds. */
    private static final double SEEDS = Math.PI * (3 - Math.sqrt(5));

    private static final double RADIUS = 50;

    /**
     * A part as it lies in its basket.
     *
     * @param outline nothing where its sheet has no drawing of it
     */
    record Lying(
            Part part,
            double x,
            double y,
            double size,
            @Nullable PartOutline outline) {}

    /**
     * A basket.
     *
     * @param key that ticks it off
     * @param inMachine whether all of it is in the machine
     */
    record Tile(
            Basket basket,
            @Nullable Character key,
            List<Lying> lying,
            Map<Wash, Integer> first,
            List<String> notes,
            boolean inMachine) {
        /** Codes of what lies in it. */
        public List<String> codes() {
            return lying.stream().map(l -> l.part().code()).toList();
        }
    }

    static WashView of(OpenJob job, Jars jars, Clocks clocks, Instant now) {
        CleaningState cleaning = job.job().cleaning();
        Soil soil = job.job().wash().soil();
        List<WashPlan.Batch> plan = job.job().wash().baskets();
        Clocks.Running load = clocks.of(job.number()).stream()
                .filter(r -> r.clock() instanceof LoadStarted)
                .findFirst()
                .orElse(null);
        Set<String> inside = new HashSet<>(load != null ? ((LoadStarted) load.clock()).parts() : List.of());
        List<Tile> tiles = new ArrayList<>();
        Map<Wash, Integer> prepare = new LinkedHashMap<>();
        List<String> machine = new ArrayList<>();
        for (WashPlan.Batch batch : plan) {
            boolean in = !inside.isEmpty() && inside.containsAll(batch.codes());
            Character key = tiles.size() < KEYS.size() ? KEYS.get(tiles.size()) : null;
            tiles.add(new Tile(batch.basket(), key, lying(batch), in ? Map.of() : batch.first(), notes(batch), in));
            if (!in) {
                batch.first().forEach((way, n) -> prepare.merge(way, n, Integer::sum));
            }
            if (batch.basket().way() == Wash.MACHINE && !in) {
                machine.addAll(batch.codes());
            }
        }
        return new WashView(
                tiles,
                clean(job, cleaning),
                prepare,
                machine,
                load,
                load == null
                        ? ""
                        : ((LoadStarted) load.clock()).jars().get(load.at(now).stretch()),
                soil,
                jars.all(),
                machine.isEmpty() ? "" : jars.advice(soil.score()),
                cleaning.due().size(),
                job.teardown().order().isEmpty());
    }

    private static List<Lying> lying(WashPlan.Batch batch) {
        List<WashPlan.Line> lines = batch.lines();
        double each = Math.min(RADIUS * 0.9, RADIUS * 1.45 / Math.sqrt(lines.size()));
        List<Lying> all = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            double out = lines.size() == 1 ? 0 : (RADIUS - each * 0.45) * Math.sqrt((i + 0.5) / lines.size());
            Part part = lines.get(i).part();
            all.add(new Lying(
                    part,
                    Math.round(10 * out * Math.cos(i * SEEDS)) / 10.0,
                    Math.round(10 * out * Math.sin(i * SEEDS)) / 10.0,
                    Math.round(10 * each) / 10.0,
                    PartOutline.of(part).orElse(null)));
        }
        return all;
    }

    /** What the sheet says of washing these parts: the exceptions, each once. */
    private static List<String> notes(WashPlan.Batch batch) {
        return batch.lines().stream()
                .map(l -> l.part().washNote().isEmpty()
                        ? ""
                        : l.part().name() + ": " + l.part().washNote())
                .filter(n -> !n.isEmpty())
                .distinct()
                .toList();
    }

    private static Map<Wash, List<Part>> clean(OpenJob job, CleaningState cleaning) {
        Map<Wash, List<Part>> clean = new LinkedHashMap<>();
        for (String code : job.teardown().order()) {
            cleaning.wayOf(code)
                    .ifPresent(way -> clean.computeIfAbsent(way, k -> new ArrayList<>())
                            .add(job.movement().requirePart(code)));
        }
        return clean;
    }
}
