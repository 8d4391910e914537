package escrel.bench.growth;

import escrel.bench.server.Caller;
import escrel.bench.server.Memory;
import escrel.bench.server.Server;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;

/** A workshop of some size with the application running on it. */
final class GrownWorkshop {
    /** A job of the demo that is being taken apart. */
    static final int ON_THE_BENCH = 3;

    private static final int MOST_OPENED = 60;
    private static final long SEED = 11;

    /** What the server has used so far: SQL statements, and CPU of the whole process in nanoseconds. */
    record Used(long statements, long cpu) {
        static final Used NOTHING = new Used(0, 0);

        /** What was used since. */
        Used since(Used earlier) {
            return new Used(statements - earlier.statements, cpu - earlier.cpu);
        }
    }

    private final Server server;
    private final Caller caller;
    private final Map<Integer, Integer> sequences = new HashMap<>();
    /** Jobs of a known calibre that were opened: every page can be made of them. */
    private final List<Integer> opened = new ArrayList<>();
    /** The job of thousands of steps. */
    final int large;

    private GrownWorkshop(Server server, Caller caller, int large) {
        this.server = server;
        this.caller = caller;
        this.large = large;
    }

    /** Starts on a folder, which is made first where it is not there, and waits until all its lists are read. */
    static GrownWorkshop at(Path home, int jobs) throws IOException, InterruptedException {
        if (!Files.exists(home.resolve(GrownBase.MADE))) {
            System.out.printf("making a workshop of %d jobs ...%n", jobs);
            make(home, jobs);
        }
        int large = Integer.parseInt(Files.readString(home.resolve(GrownBase.MADE)));
        Server server = Server.start(CountedApplication.class.getName(), home, true);
        String url = server.await(120);
        if (url == null) {
            server.kill();
            throw new IOException("did not start:\n" + server.said());
        }
        GrownWorkshop workshop = new GrownWorkshop(server, new Caller(url), large);
        try {
            workshop.awaitLines();
            workshop.findOpened(jobs);
        } catch (IOException e) {
            server.kill();
            throw e;
        }
        return workshop;
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

    /** A base of an earlier version has its lists made anew beside the work; that is not what is measured. */
    private void awaitLines() throws IOException, InterruptedException {
        while (Caller.text(caller.get("/jobs")).contains("still being read")) {
            TimeUnit.SECONDS.sleep(1);
        }
    }

    private void findOpened(int jobs) throws IOException, InterruptedException {
        Random random = new Random(SEED);
        while (opened.size() < MOST_OPENED) {
            int number = random.nextInt(10, jobs - 1);
            if (Caller.ok(caller.get("/jobs/" + number + "/climb"))
                    && Caller.ok(caller.get("/jobs/" + number + "/turn"))) {
                opened.add(number);
            }
        }
    }

    /** A job of those that were opened, each in its turn. */
    int opened(int time) {
        return opened.get(time % opened.size());
    }

    /** How many bytes a page has. */
    int ask(String path) throws IOException, InterruptedException {
        HttpResponse<byte[]> answer = caller.get(path);
        require(answer, path);
        return answer.body().length;
    }

    /** A note is made about the job on the bench: nothing that was known of it holds after that. */
    void note() throws IOException, InterruptedException {
        String path = "/jobs/" + ON_THE_BENCH + "/notes";
        String sequence = Integer.toString(caller.sequence(ON_THE_BENCH));
        require(caller.post(path, Map.of("seq", sequence, "words", "as the workshop grows")), path);
        sequences.remove(ON_THE_BENCH);
    }

    /** The newest act on the bench taken back and done again in turn, each recorded; the bench answers it. */
    int step(int job, boolean back) throws IOException, InterruptedException {
        Integer known = sequences.get(job);
        int sequence = known == null ? caller.sequence(job) : known;
        String path = "/jobs/" + job + "/strip/" + (back ? "undo" : "again");
        HttpResponse<byte[]> answer = caller.post(path, Map.of("seq", Integer.toString(sequence)));
        require(answer, path);
        sequences.put(job, sequence + 1);
        return answer.body().length;
    }

    private static void require(HttpResponse<byte[]> answer, String path) throws IOException {
        if (!Caller.ok(answer)) {
            throw new IOException(path + " answered " + answer.statusCode());
        }
    }

    Used used() throws IOException, InterruptedException {
        String[] said = Caller.text(caller.get(CountedApplication.PATH)).split(" ");
        return new Used(Long.parseLong(said[0]), Long.parseLong(said[1].strip()));
    }

    String memory() throws IOException, InterruptedException {
        return Memory.of(server).toString();
    }

    void close() throws InterruptedException {
        server.kill();
    }
}
