package escrel.bench.server;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Somebody who asks pages and sends forms, with the token a browser would have. */
public final class Caller {
    private static final Pattern SEQUENCE = Pattern.compile("name=\"seq\" value=\"(\\d+)\"");
    private static final String BOUNDARY = "escrel-campaign-boundary";

    private final CookieManager cookies = new CookieManager();
    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(cookies)
            .connectTimeout(Duration.ofSeconds(5))
            .build();
    private final String url;

    public Caller(String url) throws IOException, InterruptedException {
        this.url = url;
        get("/jobs/new");
    }

    public HttpResponse<byte[]> get(String path) throws IOException, InterruptedException {
        return send(HttpRequest.newBuilder(URI.create(url + path)));
    }

    public HttpResponse<byte[]> post(String path, Map<String, String> form) throws IOException, InterruptedException {
        String body = form.entrySet().stream()
                .map(e -> encoded(e.getKey()) + "=" + encoded(e.getValue()))
                .collect(Collectors.joining("&"));
        return send(request(path)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    public HttpResponse<byte[]> upload(String path, Map<String, String> form, String field, String name, byte[] file)
            throws IOException, InterruptedException {
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        form.forEach((key, value) -> body.writeBytes(
                ("--" + BOUNDARY + "\r\nContent-Disposition: form-data; name=\"" + key + "\"\r\n\r\n" + value + "\r\n")
                        .getBytes(StandardCharsets.UTF_8)));
        body.writeBytes(("--" + BOUNDARY + "\r\nContent-Disposition: form-data; name=\"" + field + "\"; filename=\""
                        + name + "\"\r\nContent-Type: application/octet-stream\r\n\r\n")
                .getBytes(StandardCharsets.UTF_8));
        body.writeBytes(file);
        body.writeBytes(("\r\n--" + BOUNDARY + "--\r\n").getBytes(StandardCharsets.UTF_8));
        return send(request(path)
                .header("Content-Type", "multipart/form-data; boundary=" + BOUNDARY)
                .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray())));
    }

    /** A request with the token, to be sent as it stands. */
    public HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(url + path)).header("X-XSRF-TOKEN", token());
    }

    public HttpResponse<byte[]> send(HttpRequest.Builder request) throws IOException, InterruptedException {
        return client.send(request.timeout(Duration.ofSeconds(60)).build(), HttpResponse.BodyHandlers.ofByteArray());
    }

    private String token() {
        return cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
    }

    /** What a page of this job would send back as the state it was made from. */
    public int sequence(int job) throws IOException, InterruptedException {
        Matcher found = SEQUENCE.matcher(text(get("/jobs/" + job + "/arrival")));
        return found.find() ? Integer.parseInt(found.group(1)) : -1;
    }

    public static String text(HttpResponse<byte[]> answer) {
        return new String(answer.body(), StandardCharsets.UTF_8);
    }

    public static boolean ok(HttpResponse<byte[]> answer) {
        return answer.statusCode() < 400;
    }

    public static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
