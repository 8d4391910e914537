package escrel.bench.growth;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;

/**
 * What pages and steps cost as a workshop grows. Each size has a folder of its own, made once by {@link GrownBase}. All sizes
 * run at once and are asked in turn, a round each, so that a machine whose speed wanders is as slow for the one as for the
 * other; pages of jobs are asked for over many jobs. CPU is that of the whole server process over a round.
 */
public final class GrowthBenchmark {
    private static final int WARMING = 80;
    private static final int ROUNDS = 8;
    private static final int IN_A_ROUND = 20;

    /** Something that is asked of a workshop time after time; answers with how many bytes came back. */
    private interface Asked {
        int of(GrownWorkshop workshop, int time) throws IOException, InterruptedException;
    }

    /**
     * What is measured.
     *
     * @param afterWrite whether a step is recorded before each request, which is not counted
     */
    private record Measured(String what, boolean afterWrite, Asked asked) {
        static Measured page(String what, String... paths) {
            return new Measured(what, false, (w, time) -> w.ask(paths[time % paths.length]));
        }

        static Measured ofJobs(String page) {
            return new Measured(page, false, (w, time) -> w.ask("/jobs/" + w.opened(time) + "/" + page));
        }
    }

    /** What it cost one workshop so far. */
    private static final class Cost {
        private final List<Double> wall = new ArrayList<>();
        private long cpu;
        private long statements;
        private long bytes;

        void add(GrownWorkshop.Used used) {
            cpu += used.cpu();
            statements += used.statements();
        }

        double cpuMillis() {
            return cpu / 1e6 / wall.size();
        }

        double wallMillis(double share) {
            Collections.sort(wall);
            return wall.get((int) (share * (wall.size() - 1)));
        }

        String words() {
            return "%.1f (%.1f/%.1f)".formatted(cpuMillis(), wallMillis(0.5), wallMillis(0.95));
        }
    }

    private final List<GrownWorkshop> workshops;

    private GrowthBenchmark(List<GrownWorkshop> workshops) {
        this.workshops = workshops;
    }

    /** Command line: folder for the bases (kept for the next time), numbers of jobs; 100 1000 10000 unless said. */
    public static void main(String[] args) throws IOException, InterruptedException {
        int[] sizes = args.length > 1
                ? IntStream.range(1, args.length)
                        .map(i -> Integer.parseInt(args[i]))
                        .toArray()
                : new int[] {100, 1_000, 10_000};
        List<GrownWorkshop> workshops = new ArrayList<>();
        try {
            System.out.printf("%-26s", "CPU ms (wall median/p95)");
            for (int size : sizes) {
                workshops.add(GrownWorkshop.at(Path.of(args[0]).resolve("jobs-" + size), size));
                System.out.printf("%24d", size);
            }
            System.out.printf("%8s%12s%8s%n", "ratio", "statements", "kB");
            GrowthBenchmark bench = new GrowthBenchmark(workshops);
            for (Measured measured : all()) {
                bench.measure(measured);
            }
            for (int i = 0; i < sizes.length; i++) {
                System.out.printf(
                        "%d jobs: %s after all of it%n",
                        sizes[i], workshops.get(i).memory());
            }
        } finally {
            for (GrownWorkshop workshop : workshops) {
                workshop.close();
            }
        }
    }

    private static List<Measured> all() {
        List<Measured> all = new ArrayList<>(List.of(
                Measured.page("first page", "/"),
                new Measured("first page after a write", true, (w, time) -> w.ask("/")),
                Measured.page("find a word", "/jobs?q=harbour", "/jobs?q=gull", "/jobs?q=61877"),
                Measured.page("find, all; what waits", "/jobs", "/jobs?wait=PART")));
        for (String page : List.of(
                "strip",
                "climb",
                "inspect",
                "wash",
                "readings",
                "turn",
                "expected",
                "way",
                "learnt",
                "tray",
                "film",
                "handover",
                "report",
                "desk",
                "arrival",
                "dossier.json")) {
            all.add(Measured.ofJobs(page));
        }
        all.addAll(List.of(
                Measured.page("parts desk", "/parts"),
                Measured.page("watches", "/watches", "/watches?q=tid"),
                Measured.page("calibres", "/calibres"),
                Measured.page("sheet", "/calibres/cv-12", "/calibres/cv-24"),
                Measured.page("sheet editor", "/calibres/cv-12/edit", "/calibres/cv-24/edit"),
                Measured.page("jobs.json", "/jobs.json"),
                Measured.page("safe", "/safe"),
                new Measured("step", false, (w, time) -> w.step(GrownWorkshop.ON_THE_BENCH, time % 2 == 0)),
                new Measured("step, job of 5 000", false, (w, time) -> w.step(w.large, time % 2 == 0)),
                new Measured("strip, job of 5 000", false, (w, time) -> w.ask("/jobs/" + w.large + "/strip"))));
        return all;
    }

    private void measure(Measured measured) throws IOException, InterruptedException {
        List<Cost> costs = new ArrayList<>();
        for (GrownWorkshop workshop : workshops) {
            costs.add(new Cost());
            for (int time = 0; time < WARMING; time++) {
                measured.asked().of(workshop, time);
            }
        }
        for (int round = 0; round < ROUNDS; round++) {
            for (int i = 0; i < workshops.size(); i++) {
                round(measured, workshops.get(i), round, costs.get(i));
            }
        }
        Cost last = costs.get(costs.size() - 1);
        System.out.printf("%-26s", measured.what());
        costs.forEach(c -> System.out.printf("%24s", c.words()));
        System.out.printf(
                "%8.2f%12.1f%8.0f%n",
                last.cpuMillis() / costs.get(0).cpuMillis(),
                (double) last.statements / last.wall.size(),
                last.bytes / 1e3 / last.wall.size());
    }

    private static void round(Measured measured, GrownWorkshop workshop, int round, Cost cost)
            throws IOException, InterruptedException {
        GrownWorkshop.Used before = workshop.used();
        GrownWorkshop.Used asking = GrownWorkshop.Used.NOTHING;
        for (int i = 0; i < IN_A_ROUND; i++) {
            if (measured.afterWrite()) {
                workshop.note();
                GrownWorkshop.Used first = workshop.used();
                before = workshop.used();
                // to ask what was used is a request, too
                asking = before.since(first);
            }
            long begin = System.nanoTime();
            cost.bytes += measured.asked().of(workshop, round * IN_A_ROUND + i);
            cost.wall.add((System.nanoTime() - begin) / 1e6);
            if (measured.afterWrite()) {
                cost.add(workshop.used().since(before).since(asking));
            }
        }
        if (!measured.afterWrite()) {
            cost.add(workshop.used().since(before));
        }
    }
}
