package escrel.bench.growth;

import escrel.bench.server.Caller;
import escrel.bench.server.Memory;
import escrel.bench.server.Server;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;

/**
 * What pages and steps cost as a workshop grows. Each size has a folder of its own, made once by {@link GrownBase}; pages of
 * jobs are asked for over many jobs in turn. CPU is that of the whole server process over a series of requests.
 */
public final class GrowthBenchmark {
    private static final int SERIES = 60;
    private static final int WARMING = 120;
    private static final long SEED = 11;
    /** A job of the demo that is being taken apart. */
    private static final int ON_THE_BENCH = 3;

    /** What one thing costs: CPU and median wall time in ms, statements, size in kB. */
    private record Cost(String of, double cpu, double wall, double p95, double statements, double kilobytes) {}

    private record Used(long statements, long cpu) {}

    private final Caller caller;
    private final int jobs;

    private GrowthBenchmark(Caller caller, int jobs) {
        this.caller = caller;
        this.jobs = jobs;
    }

    /** Command line: folder for the bases (kept for the next time), numbers of jobs; 100 1000 10000 unless said. */
    public static void main(String[] args) throws IOException, InterruptedException {
        Path folder = Path.of(args[0]);
        int[] sizes = args.length > 1
                ? IntStream.range(1, args.length)
                        .map(i -> Integer.parseInt(args[i]))
                        .toArray()
                : new int[] {100, 1_000, 10_000};
        List<List<Cost>> all = new ArrayList<>();
        for (int size : sizes) {
            Path home = folder.resolve("jobs-" + size);
            if (!Files.exists(home.resolve(GrownBase.MADE))) {
                System.out.printf("making a workshop of %d jobs ...%n", size);
                make(home, size);
            }
            System.out.printf("%d jobs%n", size);
            all.add(measure(home, size));
        }
        table(sizes, all);
    }

    private static void make(Path home, int jobs) throws IOException, InterruptedException {
        Files.createDirectories(home);
        int ended = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-Xmx1500m",
                        "-cp",
                        System.getProperty("java.class.path"),
                        GrownBase.class.getName(),
                        home.toString(),
                        Integer.toString(jobs),
                        "20")
                .inheritIO()
                .start()
                .waitFor();
        if (ended != 0) {
            throw new IOException("the workshop could not be made");
        }
    }

    private static List<Cost> measure(Path home, int jobs) throws IOException, InterruptedException {
        Server server = Server.start(CountedApplication.class.getName(), home, true);
        try {
            String url = server.await(120);
            if (url == null) {
                throw new IOException("did not start:\n" + server.said());
            }
            GrowthBenchmark bench = new GrowthBenchmark(new Caller(url), jobs);
            bench.awaitLines();
            List<Cost> costs = bench.pages();
            costs.add(bench.steps("step", ON_THE_BENCH));
            int large = Integer.parseInt(Files.readString(home.resolve(GrownBase.MADE)));
            costs.add(bench.steps("step, job of 5 000", large));
            costs.add(bench.cost("strip, job of 5 000", List.of("/jobs/" + large + "/strip")));
            System.out.println(Memory.of(server) + " after all of it");
            return costs;
        } finally {
            server.kill();
        }
    }

    /** A base of an earlier version has its lists made anew beside the work; that is not what is measured. */
    private void awaitLines() throws IOException, InterruptedException {
        while (Caller.text(caller.get("/jobs")).contains("still being read")) {
            TimeUnit.SECONDS.sleep(1);
        }
    }

    private List<Cost> pages() throws IOException, InterruptedException {
        List<Integer> some = someOpened();
        List<Cost> costs = new ArrayList<>();
        costs.add(cost("first page", List.of("/")));
        costs.add(afterWrites("first page after a write", "/"));
        costs.add(cost("find a word", List.of("/jobs?q=harbour", "/jobs?q=gull", "/jobs?q=61877")));
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
            costs.add(
                    cost(page, some.stream().map(n -> "/jobs/" + n + "/" + page).toList()));
        }
        costs.add(cost("parts desk", List.of("/parts")));
        costs.add(cost("watches", List.of("/watches", "/watches?q=tid")));
        costs.add(cost("calibres", List.of("/calibres")));
        costs.add(cost("sheet", List.of("/calibres/cv-12", "/calibres/cv-24")));
        costs.add(cost("sheet editor", List.of("/calibres/cv-12/edit", "/calibres/cv-24/edit")));
        costs.add(cost("jobs.json", List.of("/jobs.json")));
        costs.add(cost("safe", List.of("/safe")));
        return costs;
    }

    /** Jobs of a known calibre that were opened: every page can be made of them. */
    private List<Integer> someOpened() throws IOException, InterruptedException {
        Random random = new Random(SEED);
        List<Integer> some = new ArrayList<>();
        while (some.size() < SERIES) {
            int number = random.nextInt(10, jobs - 1);
            if (Caller.ok(caller.get("/jobs/" + number + "/climb"))
                    && Caller.ok(caller.get("/jobs/" + number + "/turn"))) {
                some.add(number);
            }
        }
        return some;
    }

    private Cost cost(String what, List<String> paths) throws IOException, InterruptedException {
        for (int i = 0; i < WARMING; i++) {
            ask(paths.get(i % paths.size()));
        }
        List<Double> wall = new ArrayList<>();
        long bytes = 0;
        Used before = used();
        for (int i = 0; i < SERIES; i++) {
            long begin = System.nanoTime();
            bytes += ask(paths.get(i % paths.size()));
            wall.add((System.nanoTime() - begin) / 1e6);
        }
        return of(what, before, used(), wall, bytes);
    }

    /** The page after a step was recorded: nothing that was known may spare it the work. The step itself is not counted. */
    private Cost afterWrites(String what, String path) throws IOException, InterruptedException {
        List<Double> wall = new ArrayList<>();
        long bytes = 0;
        long statements = 0;
        long cpu = 0;
        for (int i = 0; i < SERIES; i++) {
            note(ON_THE_BENCH);
            Used before = used();
            long begin = System.nanoTime();
            bytes += ask(path);
            wall.add((System.nanoTime() - begin) / 1e6);
            Used after = used();
            statements += after.statements() - before.statements();
            cpu += after.cpu() - before.cpu();
        }
        return of(what, new Used(0, 0), new Used(statements, cpu), wall, bytes);
    }

    /** A step on the bench and the bench that answers it: the newest act taken back and done again in turn, each recorded. */
    private Cost steps(String what, int job) throws IOException, InterruptedException {
        int sequence = caller.sequence(job);
        for (int i = 0; i < 30; i++) {
            act(job, sequence + i, i % 2 == 0);
        }
        List<Double> wall = new ArrayList<>();
        long bytes = 0;
        Used before = used();
        for (int i = 0; i < SERIES; i++) {
            long begin = System.nanoTime();
            bytes += act(job, sequence + 30 + i, i % 2 == 0);
            wall.add((System.nanoTime() - begin) / 1e6);
        }
        return of(what, before, used(), wall, bytes);
    }

    private int act(int job, int sequence, boolean back) throws IOException, InterruptedException {
        String path = "/jobs/" + job + "/strip/" + (back ? "undo" : "again");
        HttpResponse<byte[]> answer = caller.post(path, Map.of("seq", Integer.toString(sequence)));
        require(answer, path);
        return answer.body().length;
    }

    private static Cost of(String what, Used before, Used after, List<Double> wall, long bytes) {
        Collections.sort(wall);
        return new Cost(
                what,
                (after.cpu() - before.cpu()) / 1e6 / SERIES,
                wall.get(SERIES / 2),
                wall.get(SERIES * 95 / 100),
                (double) (after.statements() - before.statements()) / SERIES,
                bytes / 1e3 / SERIES);
    }

    private void note(int job) throws IOException, InterruptedException {
        String path = "/jobs/" + job + "/notes";
        String sequence = Integer.toString(caller.sequence(job));
        require(caller.post(path, Map.of("seq", sequence, "words", "as the workshop grows")), path);
    }

    private int ask(String path) throws IOException, InterruptedException {
        HttpResponse<byte[]> answer = caller.get(path);
        require(answer, path);
        return answer.body().length;
    }

    private static void require(HttpResponse<byte[]> answer, String path) throws IOException {
        if (!Caller.ok(answer)) {
            throw new IOException(path + " answered " + answer.statusCode());
        }
    }

    private Used used() throws IOException, InterruptedException {
        String[] said = Caller.text(caller.get(CountedApplication.PATH)).split(" ");
        return new Used(Long.parseLong(said[0]), Long.parseLong(said[1].strip()));
    }

    private static void table(int[] sizes, List<List<Cost>> all) {
        System.out.printf("%-26s", "CPU ms (wall median/p95)");
        Arrays.stream(sizes).forEach(s -> System.out.printf("%24d", s));
        System.out.printf("%8s%12s%8s%n", "ratio", "statements", "kB");
        for (int i = 0; i < all.get(0).size(); i++) {
            System.out.printf("%-26s", all.get(0).get(i).of());
            for (List<Cost> costs : all) {
                Cost c = costs.get(i);
                System.out.printf("%24s", "%.1f (%.1f/%.1f)".formatted(c.cpu(), c.wall(), c.p95()));
            }
            Cost last = all.get(all.size() - 1).get(i);
            double ratio = last.cpu() / all.get(0).get(i).cpu();
            System.out.printf("%8.2f%12.1f%8.0f%n", ratio, last.statements(), last.kilobytes());
        }
    }
}
