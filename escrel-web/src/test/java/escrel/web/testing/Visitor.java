package escrel.web.testing;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Somebody who asks pages and sends forms as a browser does, without a screen. */
public final class Visitor {
    private static final Pattern SEQUENCE = Pattern.compile("name=\"seq\" value=\"(\\d+)\"");
    private static final Pattern JOB = Pattern.compile("/jobs/(\\d+)/");
    private static final String BOUNDARY = "escrel-test-boundary";

    private final CookieManager cookies = new CookieManager();
    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(cookies)
            .followRedirects(HttpClient.Redirect.NORMAL)
            .build();
    private final String url;

    public Visitor(String url) {
        this.url = url;
        get("/jobs/new");
    }

    public HttpResponse<String> get(String path) {
        return send(HttpRequest.newBuilder(URI.create(url + path)).build());
    }

    /** Asks for a page with a header. */
    public HttpResponse<String> get(String path, String header, String value) {
        return send(HttpRequest.newBuilder(URI.create(url + path))
                .header(header, value)
                .build());
    }

    /** Sends a form with the token of this visitor. */
    public HttpResponse<String> post(String path, Map<String, ?> form) {
        String body = form.entrySet().stream()
                .map(e -> encode(e.getKey()) + "=" + encode(String.valueOf(e.getValue())))
                .collect(Collectors.joining("&"));
        return postRaw(path, body);
    }

    /** Sends a form as it stands, for fields that come several times. */
    public HttpResponse<String> postRaw(String path, String body) {
        return send(HttpRequest.newBuilder(URI.create(url + path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("X-XSRF-TOKEN", token())
                .POST(HttpRequest.BodyPublishers.ofString(body))
                .build());
    }

    /** Sends a file with fields. */
    public HttpResponse<String> upload(String path, Map<String, ?> form, String field, String name, byte[] file) {
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        form.forEach(
                (key, value) -> body.writeBytes(("--%s\r\nContent-Disposition: form-data; name=\"%s\"\r\n\r\n%s\r\n")
                        .formatted(BOUNDARY, key, value)
                        .getBytes(StandardCharsets.UTF_8)));
        body.writeBytes(("--%s\r\nContent-Disposition: form-data; name=\"%s\"; filename=\"%s\"\r\n"
                        + "Content-Type: application/octet-stream\r\n\r\n")
                .formatted(BOUNDARY, field, name)
                .getBytes(StandardCharsets.UTF_8));
        body.writeBytes(file);
        body.writeBytes(("\r\n--" + BOUNDARY + "--\r\n").getBytes(StandardCharsets.UTF_8));
        return send(HttpRequest.newBuilder(URI.create(url + path))
                .header("Content-Type", "multipart/form-data; boundary=" + BOUNDARY)
                .header("X-XSRF-TOKEN", token())
                .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray()))
                .build());
    }

    private String token() {
        return cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
    }

    /** Opens a job and binds it to a calibre, or leaves it unknown when empty; returns its number. */
    public int openJob(String watch, String calibre) {
        HttpResponse<String> page =
                post("/jobs", Map.of("watch", watch, "owner", "pilot boat, ferry Auk", "stance", "SYMPATHETIC"));
        Matcher job = JOB.matcher(page.uri().getPath());
        if (!job.find()) {
            throw new IllegalStateException("no job was opened: " + page.body());
        }
        int number = Integer.parseInt(job.group(1));
        if (!calibre.isEmpty()) {
            post("/jobs/" + number + "/calibre", Map.of("seq", sequence(number), "calibre", calibre));
        }
        return number;
    }

    /** What a page of this job would send back as the state it was made from. */
    public int sequence(int job) {
        Matcher found = SEQUENCE.matcher(get("/jobs/" + job + "/arrival").body());
        if (!found.find()) {
            throw new IllegalStateException("no sequence on the arrival page of job " + job);
        }
        return Integer.parseInt(found.group(1));
    }

    private HttpResponse<String> send(HttpRequest request) {
        try {
            return client.send(request, HttpResponse.BodyHandlers.ofString());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
