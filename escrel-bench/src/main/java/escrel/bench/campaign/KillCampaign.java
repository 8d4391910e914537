package escrel.bench.campaign;

import escrel.bench.server.Caller;
import escrel.bench.server.Server;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;

/**
 * {@code ./escrel bench kill N}: the application is killed N times, while it starts (a new folder, one of an earlier version,
 * the demo being filled) or while it records, takes photos in and backs up. After each kill it must start, hold everything it
 * acknowledged, no act by halves, and find nothing wrong with itself.
 */
public final class KillCampaign {
    private static final Pattern JOB = Pattern.compile("/jobs/(\\d+)/");

    private final Random random;
    private final Path work;
    private final Path versions;
    private final Map<Integer, List<String>> acknowledged = new HashMap<>();
    private Path home;
    private boolean demo;
    private int kills;
    private int lost;
    private int acts;
    private final List<String> faults = new ArrayList<>();

    private KillCampaign(long seed, Path versions) throws IOException {
        this.random = new Random(seed);
        this.versions = versions;
        this.work = Files.createTempDirectory("escrel-kill-");
        this.home = work.resolve("0");
    }

    /**
     * Runs it.
     *
     * @param args number of kills, seed, the folder with databases of earlier versions
     */
    public static void main(String[] args) throws IOException, InterruptedException {
        int wanted = Integer.parseInt(args[0]);
        long seed = args.length > 1 ? Long.parseLong(args[1]) : 1;
        KillCampaign campaign = new KillCampaign(seed, Path.of(args[2]));
        // stopped half-way, it says how far it came
        Runtime.getRuntime().addShutdownHook(new Thread(() -> campaign.tell(seed), "result"));
        campaign.run(wanted);
        System.exit(campaign.faults.isEmpty() && campaign.lost == 0 ? 0 : 1);
    }

    private void tell(long seed) {
        System.out.printf(
                "%d kills, %d acknowledged acts, %d of them lost, %d faults (seed %d)%n",
                kills, acts, lost, faults.size(), seed);
        faults.forEach(System.out::println);
    }

    private void run(int wanted) throws IOException, InterruptedException {
        fresh();
        while (kills < wanted) {
            if (random.nextInt(4) == 0) {
                killWhileStarting();
                if (kills >= wanted) {
                    break;
                }
            }
            Server server = Server.start(home, demo);
            String url = server.await(60);
            if (url == null) {
                faults.add("kill " + kills + ": it does not start any more:\n" + server.said());
                server.kill();
                fresh();
                continue;
            }
            verify(url);
            workUntilKilled(server, url);
            if (random.nextInt(5) == 0) {
                fresh();
            }
        }
        Server server = Server.start(home, demo);
        String url = server.await(60);
        if (url == null) {
            faults.add("after the last kill it does not start:\n" + server.said());
        } else {
            verify(url);
        }
        server.kill();
    }

    /** Another folder: empty, of an earlier version, or for the demo. */
    private void fresh() throws IOException {
        home = work.resolve(String.valueOf(kills + 1) + "-" + random.nextInt(1_000_000));
        acknowledged.clear();
        Files.createDirectories(home);
        int kind = random.nextInt(5);
        demo = kind == 0;
        String version = kind == 1 ? "v1" : kind == 2 ? "v3" : kind == 3 ? "v4" : "";
        if (!version.isEmpty()) {
            Files.copy(
                    versions.resolve(version + ".mv.db"),
                    home.resolve("escrel.mv.db"),
                    StandardCopyOption.REPLACE_EXISTING);
        }
    }

    private void killWhileStarting() throws IOException, InterruptedException {
        Server server = Server.start(home, demo);
        Thread.sleep(random.nextInt(6_000));
        server.kill();
        kills++;
    }

    private void workUntilKilled(Server server, String url) throws InterruptedException {
        AtomicBoolean over = new AtomicBoolean();
        Thread hand = new Thread(() -> {
            try {
                Caller caller = new Caller(url);
                while (!over.get()) {
                    act(caller);
                }
            } catch (IOException e) {
                // the server is gone, in the middle of a request
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        });
        hand.start();
        Thread.sleep(200 + random.nextInt(2_500));
        server.kill();
        kills++;
        over.set(true);
        hand.join();
    }

    private void act(Caller caller) throws IOException, InterruptedException {
        List<Integer> jobs = new ArrayList<>(acknowledged.keySet());
        String mark = UUID.randomUUID().toString();
        int which = jobs.isEmpty() ? 0 : random.nextInt(10);
        int job = jobs.isEmpty() ? 0 : jobs.get(random.nextInt(jobs.size()));
        HttpResponse<byte[]> answer;
        switch (which) {
            case 0 -> {
                answer =
                        caller.post("/jobs", Map.of("watch", mark, "owner", "Pilot boat Auk", "stance", "SYMPATHETIC"));
                Matcher opened =
                        JOB.matcher(answer.headers().firstValue("Location").orElse(""));
                if (opened.find()) {
                    acknowledged.put(Integer.parseInt(opened.group(1)), new ArrayList<>(List.of(mark)));
                    acts++;
                }
                return;
            }
            case 1 ->
                answer = caller.upload(
                        "/jobs/" + job + "/photos",
                        Map.of("seq", String.valueOf(caller.sequence(job)), "caption", mark),
                        "picture",
                        "p.png",
                        picture());
            case 2 -> {
                caller.post("/safe/now", Map.of());
                return;
            }
            case 3 ->
                answer = caller.post(
                        "/jobs/" + job + "/readings/between",
                        Map.of("seq", String.valueOf(caller.sequence(job)), "what", "REGULATOR_MOVED", "words", mark));
            default ->
                answer = caller.post(
                        "/jobs/" + job + "/notes",
                        Map.of("seq", String.valueOf(caller.sequence(job)), "words", mark, "note", mark));
        }
        if (Caller.ok(answer)) {
            acknowledged.computeIfAbsent(job, j -> new ArrayList<>()).add(mark);
            acts++;
        }
    }

    private byte[] picture() throws IOException {
        BufferedImage image =
                new BufferedImage(300 + random.nextInt(2_500), 300 + random.nextInt(1_500), BufferedImage.TYPE_INT_RGB);
        image.setRGB(5, 5, random.nextInt());
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }

    private void verify(String url) throws IOException, InterruptedException {
        Caller caller = new Caller(url);
        for (Map.Entry<Integer, List<String>> job : acknowledged.entrySet()) {
            HttpResponse<byte[]> dossier = caller.get("/jobs/" + job.getKey() + "/dossier.json");
            String text = Caller.text(dossier);
            for (String mark : job.getValue()) {
                if (!text.contains(mark)) {
                    lost++;
                    faults.add("kill " + kills + ": lost in job " + job.getKey() + ": " + mark);
                }
            }
            page(caller, "/jobs/" + job.getKey() + "/arrival");
            page(caller, "/jobs/" + job.getKey() + "/report");
        }
        page(caller, "/");
        page(caller, "/safe");
        if (demo && !Caller.text(caller.get("/jobs.json")).contains("\"number\":22")) {
            faults.add("kill " + kills + ": the demo is half filled");
        }
        check();
    }

    private void page(Caller caller, String path) throws IOException, InterruptedException {
        HttpResponse<byte[]> answer = caller.get(path);
        if (answer.statusCode() != 200) {
            faults.add("kill " + kills + ": " + path + " answers " + answer.statusCode());
        }
    }

    /** What it says of itself, by the command a person would use. */
    private void check() throws IOException, InterruptedException {
        Process process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-cp",
                        System.getProperty("java.class.path"),
                        "escrel.web.cli.FolderCommand",
                        "check",
                        home.toString())
                .redirectErrorStream(true)
                .start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        if (process.waitFor() != 0) {
            faults.add("kill " + kills + ": check says\n" + said);
        }
    }
}
