package escrel.bench;

import escrel.bench.server.Caller;
import escrel.bench.server.Server;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.interactions.Actions;

/**
 * From a key on the bench until the step it records is drawn, in headless Chromium beside the application as it ships: a part
 * comes off and is put back in turn, so that every press finds the same bench and records one step, which is checked. Argument:
 * how many presses.
 */
public final class KeyToStep {
    private static final int WARMING = 120;
    private static final int LEFT_ALONE_MILLIS = 150;
    private static final String OFF = "5";
    private static final String BACK = "-";

    /** Within the page: when a key went down, when its answer was there, when it was swapped in, when that was drawn. */
    private static final String WATCH = """
            window.pressed = [];
            let down = 0, answered = 0;
            addEventListener("keydown", () => { down = performance.now(); }, true);
            document.addEventListener("htmx:beforeSwap", () => { answered = performance.now(); });
            document.addEventListener("htmx:afterSwap", () => {
              const swapped = performance.now();
              requestAnimationFrame(() => {
                const after = new MessageChannel();
                after.port1.onmessage = () => pressed.push([answered - down, swapped - answered, performance.now() - swapped]);
                after.port2.postMessage(0);
              });
            });
            """;

    private final Caller caller;
    private final ChromeDriver driver;
    private final int job;

    private KeyToStep(Caller caller, ChromeDriver driver, int job) {
        this.caller = caller;
        this.driver = driver;
        this.job = job;
    }

    /** Argument: how many presses. */
    public static void main(String[] args) throws IOException, InterruptedException {
        Path home = Files.createTempDirectory("escrel-key");
        Server server = Server.start(home, true);
        ChromeDriver driver = null;
        try {
            String url = server.await(120);
            if (url == null) {
                throw new IOException("the application did not start:\n" + server.said());
            }
            Caller caller = new Caller(url);
            int job = opened(caller);
            driver = browser(home.resolve("browser"));
            driver.get(url + "/jobs/" + job + "/strip");
            driver.executeScript(WATCH);
            new KeyToStep(caller, driver, job).measure(Integer.parseInt(args[0]));
        } finally {
            if (driver != null) {
                driver.quit();
            }
            server.kill();
        }
    }

    /** A job of a calibre of the demo, untouched so far. */
    private static int opened(Caller caller) throws IOException, InterruptedException {
        String where = caller.post(
                        "/jobs", Map.of("watch", "Timed watch", "owner", "ferry Auk", "stance", "SYMPATHETIC"))
                .headers()
                .firstValue("Location")
                .orElse("");
        Matcher number = Pattern.compile("/jobs/(\\d+)").matcher(where);
        if (!number.find()) {
            throw new IOException("no job was opened, but led to " + where);
        }
        int job = Integer.parseInt(number.group(1));
        caller.post(
                "/jobs/" + job + "/calibre", Map.of("seq", Integer.toString(caller.sequence(job)), "calibre", "cv-12"));
        return job;
    }

    private static ChromeDriver browser(Path profile) {
        ChromeOptions options = new ChromeOptions();
        options.setBinary("/usr/bin/chromium");
        options.addArguments(
                "--headless=new",
                "--no-sandbox",
                "--disable-gpu",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--window-size=1280,800",
                "--user-data-dir=" + profile);
        ChromeDriverService service = new ChromeDriverService.Builder()
                .usingDriverExecutable(new File("/usr/bin/chromedriver"))
                .build();
        return new ChromeDriver(service, options);
    }

    private void measure(int presses) throws IOException, InterruptedException {
        List<double[]> seen = new ArrayList<>();
        for (int i = 0; i < WARMING + presses; i++) {
            double[] press = press(i % 2 == 0 ? OFF : BACK, i);
            if (i >= WARMING) {
                seen.add(press);
            }
        }
        System.out.printf(
                "%d keys, each a step: until it is drawn, median %.0f ms, 95 of 100 within %.0f ms (until answered %.0f, swapped in %.0f,"
                        + " drawn %.0f ms)%n",
                presses,
                at(seen, null, 0.5),
                at(seen, null, 0.95),
                at(seen, 0, 0.5),
                at(seen, 1, 0.5),
                at(seen, 2, 0.5));
    }

    private double[] press(String key, int before) throws IOException, InterruptedException {
        int sequence = caller.sequence(job);
        new Actions(driver).sendKeys(key).perform();
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(10);
        do {
            // who asks the page while it works takes its time from it
            TimeUnit.MILLISECONDS.sleep(LEFT_ALONE_MILLIS);
            if (System.nanoTime() > until) {
                throw new IOException("nothing was drawn after " + key);
            }
        } while (((Number) driver.executeScript("return pressed.length")).intValue() <= before);
        int recorded = caller.sequence(job) - sequence;
        if (recorded != 1) {
            throw new IOException("the key " + key + " recorded " + recorded + " steps, not one");
        }
        List<?> press = (List<?>) driver.executeScript("return pressed[" + before + "]");
        return press.stream().mapToDouble(n -> ((Number) n).doubleValue()).toArray();
    }

    /** A quantile of one part of the time, or of all of it. */
    private static double at(List<double[]> seen, @Nullable Integer part, double share) {
        double[] sorted = seen.stream()
                .mapToDouble(s -> part == null ? Arrays.stream(s).sum() : s[part])
                .sorted()
                .toArray();
        return sorted[(int) (share * (sorted.length - 1))];
    }
}
