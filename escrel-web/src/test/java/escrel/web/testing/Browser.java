package escrel.web.testing;

import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BooleanSupplier;
import org.openqa.selenium.By;
import org.openqa.selenium.JavascriptException;
import org.openqa.selenium.Keys;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.ExpectedCondition;
import org.openqa.selenium.support.ui.Select;
import org.openqa.selenium.support.ui.WebDriverWait;

/** Headless Chromium, driven by what a user does and sees. Waits for what it expects, never for a time. */
public final class Browser implements AutoCloseable {
    private static final Duration PATIENCE = Duration.ofSeconds(15);

    private static final String SHOWN = """
            [...document.querySelectorAll(asked)].find(
              (e) => e.checkVisibility({ checkOpacity: true, checkVisibilityCSS: true }) && e.getClientRects().length > 0)
            """;

    private static final String HEADING = """
            [...document.querySelectorAll("h1")].find((h) => h.getClientRects().length > 0)?.innerText
            """;

    private static final String READ = "document.body.innerText.includes(asked)";

    /**
     * Asked within the page, and there again whenever it has changed, for a second at most: a question from outside costs
     * as much as a key does, and would be asked forty times a second.
     */
    private static final String WAITING = """
            const asked = arguments[0];
            const look = () => (%s) || null;
            const found = look();
            return found ?? new Promise((answer) => {
              let soon;
              const end = (seen) => {
                changes.disconnect();
                [soon, often, late].forEach(clearTimeout);
                answer(seen);
              };
              const again = () => {
                soon = undefined;
                const seen = look();
                if (seen) {
                  end(seen);
                }
              };
              const changes = new MutationObserver(() => (soon ??= setTimeout(again, 10)));
              changes.observe(document, { subtree: true, childList: true, attributes: true, characterData: true });
              const often = setInterval(again, 100);
              const late = setTimeout(() => end(null), 1000);
            });
            """;

    /** Where to click what is shown: brought into the middle first, as one scrolls to what one wants; nothing while it is covered. */
    private static final String MIDDLE = """
            const e = arguments[0];
            e.scrollIntoView({ block: "center", behavior: "instant" });
            const box = e.getClientRects()[0];
            const x = Math.floor(box.left + box.width / 2);
            const y = Math.floor(box.top + box.height / 2);
            const hit = document.elementFromPoint(x, y);
            return hit && e.contains(hit) ? [x, y] : null;
            """;

    private final Chromium chromium;
    private final ChromeDriver driver;
    private final Set<String> origins = new HashSet<>();

    public Browser() {
        this(1280, 800);
    }

    public Browser(int width, int height) {
        this(width, height, List.of());
    }

    /** A browser whose microphone hears a WAV file, over and over. */
    public static Browser hearing(Path wav) {
        return new Browser(
                1280,
                800,
                List.of(
                        "--use-fake-ui-for-media-stream",
                        "--use-fake-device-for-media-stream",
                        "--use-file-for-fake-audio-capture=" + wav.toAbsolutePath()));
    }

    private Browser(int width, int height, List<String> more) {
        chromium = Chromium.lend(more);
        driver = chromium.driver();
        resize(width, height);
    }

    /** Sets the viewport, not the window. */
    public void resize(int width, int height) {
        driver.executeCdpCommand(
                "Emulation.setDeviceMetricsOverride",
                Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", false));
    }

    public ChromeDriver driver() {
        return driver;
    }

    public void open(String address) {
        URI where = URI.create(address);
        origins.add(where.getScheme() + "://" + where.getAuthority());
        driver.get(address);
    }

    /** The text a user sees. */
    public String text() {
        return (String) driver.executeScript("return document.body.innerText");
    }

    /** The main heading as a user sees it, read in one question: the page may be another at the next. */
    public String heading() {
        return (String) inPage("to see a heading", PATIENCE, HEADING, "");
    }

    /** The first element that matches, once it is there and shown. */
    public WebElement see(String css) {
        return (WebElement) inPage("to see " + css, PATIENCE, SHOWN, css);
    }

    public void seeText(String words) {
        seeText(words, PATIENCE);
    }

    /** For what takes its time in life too, as listening does. */
    public void seeText(String words, Duration patience) {
        inPage("to read “" + words + "”", patience, READ, words);
    }

    /** Waits until these words are no longer, or never were, on the page: what an answer replaces is still there for a moment. */
    public void seeNoText(String words) {
        inPage("no longer to read “" + words + "”", PATIENCE, "!" + READ, words);
    }

    /** A page that is left takes the question with it: it is asked again of the next. */
    private Object inPage(String what, Duration patience, String question, String asked) {
        String script = WAITING.formatted(question);
        return until(what, patience, d -> driver.executeScript(script, asked));
    }

    private <T> T until(String what, ExpectedCondition<T> condition) {
        return until(what, PATIENCE, condition);
    }

    private <T> T until(String what, Duration patience, ExpectedCondition<T> condition) {
        return new WebDriverWait(driver, patience)
                .pollingEvery(Duration.ofMillis(25))
                .ignoring(StaleElementReferenceException.class, JavascriptException.class)
                .withMessage(() -> what + " on " + driver.getCurrentUrl() + ":\n" + text())
                .until(condition);
    }

    /** Waits until a condition about this browser holds. */
    public void untilTrue(String what, BooleanSupplier condition) {
        until(what, d -> condition.getAsBoolean() ? Boolean.TRUE : null);
    }

    /** Clicks what matches, by the mouse and in its middle, once nothing lies over it. */
    public void click(String css) {
        List<?> middle = until("to click " + css, d -> (List<?>) driver.executeScript(MIDDLE, see(css)));
        // without the quarter of a second a mouse would take to get there
        new Actions(driver, Duration.ZERO)
                .moveToLocation(((Number) middle.get(0)).intValue(), ((Number) middle.get(1)).intValue())
                .click()
                .perform();
    }

    public void type(String css, String words) {
        WebElement field = see(css);
        field.clear();
        field.sendKeys(words);
    }

    public void choose(String css, String value) {
        new Select(see(css)).selectByValue(value);
    }

    /** Gives a file to a file field. */
    public void file(String css, Path path) {
        driver.findElement(By.cssSelector(css)).sendKeys(path.toAbsolutePath().toString());
    }

    /** Presses a key of the numeric keypad, as a hand that finds it blind does, once the page has loaded. */
    public void key(char key) {
        keyOnce("return document.readyState === 'complete'", key);
    }

    /** Presses a key and waits until the bench is as the server sent it: what a script put on it before is gone then. */
    public void keyOnBench(char key) {
        keyOnce(
                "const bench = document.getElementById('bench'); if (bench) { bench.dataset.before = ''; }"
                        + " return bench && document.readyState === 'complete'",
                key);
        see("#bench:not([data-before])");
    }

    /** Does what leads to another page, or to the same anew, and waits until that is there: what is asked next is asked of it. */
    public void toAnotherPage(Runnable act) {
        driver.executeScript("window.before = true");
        act.run();
        untilTrue(
                "another page to be loaded",
                () -> Boolean.TRUE.equals(
                        driver.executeScript("return !window.before && document.readyState === 'complete'")));
    }

    private void keyOnce(String loaded, char key) {
        until("the page to be loaded", d -> Boolean.TRUE.equals(driver.executeScript(loaded)) ? Boolean.TRUE : null);
        new Actions(driver).sendKeys(numpad(key)).perform();
    }

    private static CharSequence numpad(char key) {
        return switch (key) {
            case '+' -> Keys.ADD;
            case '-' -> Keys.SUBTRACT;
            case '*' -> Keys.MULTIPLY;
            default -> Character.isDigit(key) ? Keys.valueOf("NUMPAD" + key) : String.valueOf(key);
        };
    }

    public void enter() {
        new Actions(driver).sendKeys(Keys.ENTER).perform();
    }

    public void picture(Path file) throws IOException {
        Files.createDirectories(file.getParent());
        Files.write(file, driver.getScreenshotAs(OutputType.BYTES));
    }

    @Override
    public void close() {
        chromium.giveBack(origins);
    }
}
