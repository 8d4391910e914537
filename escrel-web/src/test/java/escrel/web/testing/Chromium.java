package escrel.web.testing;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.openqa.selenium.WebDriverException;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;

/**
 * A process of headless Chromium. Starting one costs as much as a small test: those that are given back are lent again, with
 * nothing kept of where they were.
 */
final class Chromium {
    private static final List<String> PLACES = List.of("/usr/bin/chromium", "/usr/bin/chromium-browser");
    private static final Deque<Chromium> IDLE = new ArrayDeque<>();

    static {
        Runtime.getRuntime().addShutdownHook(new Thread(Chromium::quitIdle));
    }

    private final Path profile;
    private final ChromeDriver driver;
    private final boolean plain;

    private Chromium(List<String> more) {
        try {
            profile = Files.createTempDirectory(Path.of("target"), "chromium-");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        plain = more.isEmpty();
        ChromeOptions options = new ChromeOptions();
        PLACES.stream().filter(p -> Files.exists(Path.of(p))).findFirst().ifPresent(options::setBinary);
        options.addArguments(
                "--headless=new",
                "--no-sandbox",
                "--disable-gpu",
                "--disable-quic",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--disable-dev-shm-usage",
                "--hide-scrollbars",
                // what moves slowly is drawn a dozen times, for nobody
                "--force-prefers-reduced-motion",
                "--user-data-dir=" + profile.toAbsolutePath());
        options.addArguments(more);
        ChromeDriverService service = new ChromeDriverService.Builder()
                .usingDriverExecutable(new File("/usr/bin/chromedriver"))
                .build();
        driver = new ChromeDriver(service, options);
    }

    /** One that was given back, or a new one; with options of its own always a new one. */
    static Chromium lend(List<String> more) {
        if (more.isEmpty()) {
            synchronized (IDLE) {
                Chromium idle = IDLE.poll();
                if (idle != null) {
                    return idle;
                }
            }
        }
        return new Chromium(more);
    }

    ChromeDriver driver() {
        return driver;
    }

    /**
     * Gives it back.
     *
     * @param origins whose cookies and storage it is to forget
     */
    void giveBack(Set<String> origins) {
        if (!plain || !forget(origins)) {
            quit();
            return;
        }
        synchronized (IDLE) {
            IDLE.add(this);
        }
    }

    /** Whether it has forgotten; one with a dialog or a second window open is not lent again. */
    private boolean forget(Set<String> origins) {
        try {
            if (driver.getWindowHandles().size() != 1) {
                return false;
            }
            driver.get("about:blank");
            driver.executeCdpCommand("Network.clearBrowserCookies", Map.of());
            for (String origin : origins) {
                driver.executeCdpCommand("Storage.clearDataForOrigin", Map.of("origin", origin, "storageTypes", "all"));
            }
            return true;
        } catch (WebDriverException e) {
            return false;
        }
    }

    private void quit() {
        driver.quit();
        try (Stream<Path> files = Files.walk(profile)) {
            files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void quitIdle() {
        synchronized (IDLE) {
            IDLE.forEach(Chromium::quit);
            IDLE.clear();
        }
    }
}
