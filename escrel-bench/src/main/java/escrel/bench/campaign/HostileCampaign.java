package escrel.bench.campaign;

import escrel.bench.server.Caller;
import escrel.bench.server.Memory;
import escrel.bench.server.Server;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * {@code ./escrel bench hostile N}: N inputs nobody should send, over all doors, seeded. No answer of 500, no word of how we
 * are made, none that takes more than two seconds, nothing changed by what is refused, and every page opens after what is
 * taken.
 */
public final class HostileCampaign {
    private static final List<String> ROOMS = List.of(
            "arrival",
            "readings",
            "running",
            "strip",
            "tray",
            "way",
            "film",
            "learnt",
            "inspect",
            "wash",
            "climb",
            "turn",
            "handover",
            "report",
            "schools",
            "desk",
            "expected",
            "plate");
    private static final List<String> OTHERS = List.of(
            "/", "/jobs/new", "/jobs", "/calibres", "/settings", "/devices", "/safe", "/jobs.json", "/calibres/cv-12");
    private static final Pattern TRACE =
            Pattern.compile("Exception|\\bat (org|java|escrel)\\.|escrel\\.(core|web)\\.|\\.java:\\d|SQL statement");
    private static final Pattern JOB = Pattern.compile("/jobs/(\\d+)");
    private static final JsonMapper MAPPER = new JsonMapper();
    private static final double LONGEST_SECONDS = 2;
    /** Inputs between two looks at the memory. */
    private static final int EVERY = 1_000;

    private final Random random;
    private final Mutations mutations;
    private final Caller caller;
    private final Map<String, Integer> statuses = new LinkedHashMap<>();
    private final Map<Integer, Memory> memory = new LinkedHashMap<>();
    private final List<String> faults = new ArrayList<>();
    private final Map<Integer, ObjectNode> dossiers = new LinkedHashMap<>();
    private JsonNode sheet = MAPPER.createObjectNode();
    private int sent;
    private double slowest;

    private HostileCampaign(long seed, String url) throws IOException, InterruptedException {
        this.random = new Random(seed);
        this.mutations = new Mutations(random);
        this.caller = new Caller(url);
    }

    /**
     * Runs it.
     *
     * @param args number of inputs, seed
     */
    public static void main(String[] args) throws IOException, InterruptedException {
        int wanted = Integer.parseInt(args[0]);
        long seed = args.length > 1 ? Long.parseLong(args[1]) : 1;
        Server server = Server.start(Files.createTempDirectory("escrel-hostile-"), true);
        String url = server.await(120);
        if (url == null) {
            throw new IOException("it does not start:\n" + server.said());
        }
        HostileCampaign campaign = new HostileCampaign(seed, url);
        campaign.memory.put(0, Memory.of(server));
        // stopped half-way, it says how far it came
        Thread result = new Thread(() -> campaign.tell(server, seed), "result");
        Runtime.getRuntime().addShutdownHook(result);
        campaign.run(wanted, server);
        result.run();
        Runtime.getRuntime().removeShutdownHook(result);
        server.kill();
        Files.writeString(Path.of(System.getProperty("java.io.tmpdir"), "escrel-hostile.log"), server.said());
        System.exit(campaign.faults.isEmpty() ? 0 : 1);
    }

    private void tell(Server server, long seed) {
        System.out.printf("%d inputs: %s; slowest %.1f s (seed %d)%n", sent, statuses, slowest, seed);
        memory.put(sent, Memory.of(server));
        memory.forEach((at, held) -> System.out.println("after " + at + " inputs " + held));
        System.out.println(faults.size() + " faults");
        faults.stream().limit(60).forEach(System.out::println);
    }

    private void run(int wanted, Server server) throws IOException, InterruptedException {
        for (int job : new int[] {1, 2, 3, 4, 5, 9, 22}) {
            dossiers.put(job, (ObjectNode)
                    MAPPER.readTree(caller.get("/jobs/" + job + "/dossier.json").body()));
        }
        sheet = MAPPER.readTree(caller.get("/calibres/cv-33/sheet.json").body());
        int next = EVERY;
        while (sent < wanted) {
            if (sent >= next) {
                memory.put(sent, Memory.of(server));
                next += EVERY;
            }
            switch (random.nextInt(10)) {
                case 0 -> oddRequest();
                case 1, 2, 3 -> form();
                case 4, 5 -> dossier();
                case 6 -> sheet();
                case 7 -> picture();
                case 8 -> readings();
                default -> sound();
            }
        }
    }

    private int anyJob() {
        List<Integer> jobs = new ArrayList<>(dossiers.keySet());
        return jobs.get(random.nextInt(jobs.size()));
    }

    private String anyPage() {
        return random.nextInt(4) == 0
                ? OTHERS.get(random.nextInt(OTHERS.size()))
                : "/jobs/" + anyJob() + "/" + ROOMS.get(random.nextInt(ROOMS.size()));
    }

    private void oddRequest() throws IOException, InterruptedException {
        String path = anyPage();
        String[] methods = {"PUT", "DELETE", "PATCH", "OPTIONS", "TRACE2", "POST", "GET"};
        String method = methods[random.nextInt(methods.length)];
        String[] types = {"application/json", "text/xml", "multipart/form-data", "nonsense", "application/octet-stream"
        };
        String query = random.nextBoolean()
                ? ""
                : "?part=" + Caller.encoded(mutations.text()) + "&photo="
                        + Caller.encoded(mutations.text()) + "&set=" + Caller.encoded(mutations.text()) + "&before="
                        + Caller.encoded(mutations.text()) + "&state=" + Caller.encoded(mutations.text());
        if (query.length() > 6_000) {
            query = "";
        }
        HttpRequest.Builder request = caller.request(path + query)
                .header("Content-Type", types[random.nextInt(types.length)])
                .header("Accept", random.nextBoolean() ? "*/*" : "application/json");
        sent(method + " " + path, request.method(method, HttpRequest.BodyPublishers.ofString("{}")));
    }

    /** A form of a page, with one or two fields as nobody would fill them. */
    private void form() throws IOException, InterruptedException {
        List<Forms> forms = Forms.on(Caller.text(caller.get(anyPage())));
        if (forms.isEmpty()) {
            return;
        }
        Forms form = forms.get(random.nextInt(forms.size()));
        if (form.action().contains("/logout")) {
            return;
        }
        Map<String, String> fields = new LinkedHashMap<>(form.fields());
        List<String> names = new ArrayList<>(fields.keySet());
        for (int i = 0; i < 1 + random.nextInt(2) && !names.isEmpty(); i++) {
            String name = names.get(random.nextInt(names.size()));
            if (random.nextInt(6) == 0) {
                fields.remove(name);
            } else {
                fields.put(name, mutations.text());
            }
        }
        String what = form.action() + " "
                + fields.toString().substring(0, Math.min(200, fields.toString().length()));
        if (form.file().isEmpty()) {
            String body = fields.entrySet().stream()
                    .map(e -> Caller.encoded(e.getKey()) + "=" + Caller.encoded(e.getValue()))
                    .reduce((a, b) -> a + "&" + b)
                    .orElse("");
            HttpResponse<byte[]> answer = sent(
                    what,
                    caller.request(form.action())
                            .header("Content-Type", "application/x-www-form-urlencoded")
                            .POST(HttpRequest.BodyPublishers.ofString(body)));
            followed(what, answer);
        } else {
            uploaded(what, form.action(), fields, form.file(), "f.bin", new byte[] {1, 2, 3});
        }
    }

    private void dossier() throws IOException, InterruptedException {
        ObjectNode spoilt = Objects.requireNonNull(dossiers.get(anyJob())).deepCopy();
        spoilt.put("identity", UUID.randomUUID().toString());
        for (int i = 0; i < 1 + random.nextInt(3); i++) {
            JsonNode at = random.nextInt(3) == 0 ? spoilt : spoilt.path("steps");
            mutations.spoil(at);
        }
        byte[] file = spoilt.toString().getBytes(StandardCharsets.UTF_8);
        taken("/jobs/import", "dossier", random.nextInt(6) == 0 ? mutations.spoil(file) : file);
    }

    private void sheet() throws IOException, InterruptedException {
        JsonNode spoilt = sheet.deepCopy();
        ((ObjectNode) spoilt).put("id", "h-" + random.nextInt(1_000_000));
        for (int i = 0; i < 1 + random.nextInt(3); i++) {
            mutations.spoil(spoilt);
        }
        byte[] file = spoilt.toString().getBytes(StandardCharsets.UTF_8);
        taken("/calibres/import", "sheet", random.nextInt(6) == 0 ? mutations.spoil(file) : file);
    }

    private void taken(String door, String field, byte[] file) throws IOException, InterruptedException {
        String before = state();
        String what = door + " (input " + sent + ")";
        HttpResponse<byte[]> answer = uploaded(what, door, Map.of(), field, "f.json", file);
        if (answer.statusCode() >= 400) {
            if (!state().equals(before)) {
                fault(what + " was refused and changed something");
            }
        } else {
            followed(what, answer);
        }
    }

    /** What there is of jobs and sheets. */
    private String state() throws IOException, InterruptedException {
        return Caller.text(caller.get("/jobs.json"))
                + Caller.text(caller.get("/calibres")).replaceAll("value=\"[0-9a-f-]{36}\"", "");
    }

    /** After what was taken, every page of the job or sheet opens. */
    private void followed(String what, HttpResponse<byte[]> answer) throws IOException, InterruptedException {
        String location = answer.headers().firstValue("Location").orElse("");
        Matcher job = JOB.matcher(location.isEmpty() ? what : location);
        List<String> pages = new ArrayList<>();
        if (job.find()) {
            ROOMS.forEach(room -> pages.add("/jobs/" + job.group(1) + "/" + room));
            pages.add("/jobs/" + job.group(1) + "/report.pdf");
            pages.add("/jobs/" + job.group(1) + "/dossier.json");
            pages.add("/jobs/" + job.group(1) + "/readings.csv");
        } else if (location.startsWith("/calibres/")) {
            pages.add(location);
            pages.add(location + "/edit");
            pages.add(location + "/sheet.json");
        }
        pages.add("/");
        // all of them after a file, one of them after a form
        List<String> wanted = what.contains("import") ? pages : List.of(pages.get(random.nextInt(pages.size())));
        for (String page : wanted) {
            long begin = System.nanoTime();
            HttpResponse<byte[]> shown = caller.get(page);
            double took = (System.nanoTime() - begin) / 1e9;
            if (shown.statusCode() >= 500) {
                fault(what + " was taken, and then " + page + " answers " + shown.statusCode());
            } else if (took > LONGEST_SECONDS) {
                fault("%s was taken, and then %s takes %.1f s".formatted(what, page, took));
            }
        }
    }

    private void picture() throws IOException, InterruptedException {
        BufferedImage image =
                new BufferedImage(1 + random.nextInt(600), 1 + random.nextInt(600), BufferedImage.TYPE_INT_RGB);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, random.nextBoolean() ? "jpg" : "png", out);
        int job = anyJob();
        String what = "/jobs/" + job + "/photos (input " + sent + ")";
        uploaded(
                what,
                "/jobs/" + job + "/photos",
                Map.of("seq", String.valueOf(caller.sequence(job)), "caption", mutations.text()),
                "picture",
                "p.jpg",
                mutations.spoil(out.toByteArray()));
    }

    private void readings() throws IOException, InterruptedException {
        int job = anyJob();
        byte[] file = caller.get("/jobs/" + job + "/readings.csv").body();
        uploaded(
                "/jobs/" + job + "/readings/import (input " + sent + ")",
                "/jobs/" + job + "/readings/import",
                Map.of("seq", String.valueOf(caller.sequence(job))),
                "file",
                "r.csv",
                mutations.spoil(file));
    }

    private void sound() throws IOException, InterruptedException {
        int job = anyJob();
        if (random.nextBoolean()) {
            byte[] wav = caller.get("/jobs/2/recordings/1.wav").body();
            byte[] piece = Arrays.copyOf(wav, Math.min(wav.length, 44 + 2 * 44_100 * 5));
            uploaded(
                    "/jobs/" + job + "/readings/recording (input " + sent + ")",
                    "/jobs/" + job + "/readings/recording",
                    Map.of("seq", String.valueOf(caller.sequence(job)), "position", "DIAL_UP"),
                    "sound",
                    "r.wav",
                    mutations.spoil(piece));
            return;
        }
        String id = random.nextBoolean()
                ? UUID.randomUUID().toString()
                : mutations.text().replaceAll("\\W", "x");
        if (id.isEmpty() || id.length() > 400) {
            id = "x";
        }
        byte[] piece = new byte[random.nextInt(4_000)];
        random.nextBytes(piece);
        sent(
                "/jobs/" + job + "/desk/…/sound",
                caller.request("/jobs/" + job + "/desk/" + id + "/sound")
                        .header("Content-Type", random.nextInt(4) == 0 ? "text/plain" : "application/octet-stream")
                        .POST(HttpRequest.BodyPublishers.ofByteArray(piece)));
        sent(
                "/jobs/" + job + "/desk/open",
                caller.request("/jobs/" + job + "/desk/open")
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString("sampleRate=" + Caller.encoded(mutations.text())
                                + "&device=" + Caller.encoded(mutations.text()))));
    }

    private HttpResponse<byte[]> uploaded(
            String what, String door, Map<String, String> fields, String field, String name, byte[] file)
            throws IOException, InterruptedException {
        long begin = System.nanoTime();
        return judged(what, begin, caller.upload(door, fields, field, name, file));
    }

    private HttpResponse<byte[]> sent(String what, HttpRequest.Builder request)
            throws IOException, InterruptedException {
        long begin = System.nanoTime();
        return judged(what, begin, caller.send(request));
    }

    private HttpResponse<byte[]> judged(String what, long begin, HttpResponse<byte[]> answer) {
        double took = (System.nanoTime() - begin) / 1e9;
        sent++;
        statuses.merge(String.valueOf(answer.statusCode()), 1, Integer::sum);
        slowest = Math.max(slowest, took);
        String text = Caller.text(answer);
        if (answer.statusCode() >= 500) {
            fault(what + " answers " + answer.statusCode());
        } else if (answer.statusCode() >= 400) {
            if (text.isBlank()) {
                fault(what + " is refused without a word (" + answer.statusCode() + ")");
            }
            Matcher trace = TRACE.matcher(text);
            if (trace.find()) {
                fault(what + " is refused with a word of how we are made: " + trace.group());
            }
        }
        if (took > LONGEST_SECONDS) {
            fault("%s takes %.1f s".formatted(what, took));
        }
        return answer;
    }

    private void fault(String words) {
        faults.add(words.replaceAll("\\p{Cntrl}", "·"));
    }
}
