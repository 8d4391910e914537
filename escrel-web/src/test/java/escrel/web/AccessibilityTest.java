package escrel.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.selenium.AxeBuilder;
import escrel.core.calibre.Side;
import escrel.web.demo.PlanPicture;
import escrel.web.room.Room;
import escrel.web.room.Rooms;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every main view in both themes: names, roles, and contrast by the AA measure. */
@Tag("long")
class AccessibilityTest {
    private static Browser browser;
    private static Map<String, Object> axe;

    /** Every page it opens has the checks with it: half a megabyte need not be sent for each. */
    @BeforeAll
    static void openTheBrowser() {
        browser = new Browser();
        axe = browser.driver().executeCdpCommand("Page.addScriptToEvaluateOnNewDocument", Map.of("source", AXE));
    }

    @AfterAll
    static void closeTheBrowser() {
        browser.driver().executeCdpCommand("Page.removeScriptToEvaluateOnNewDocument", axe);
        browser.close();
    }

    /** Run within the page, both themes by one loading of it, and only what is wrong told in full: the rest is a page of its own. */
    private static final String AXE = read("/axe.min.js");

    private static final Set<String> NAMED = Set.of(
            "button",
            "link",
            "textbox",
            "searchbox",
            "combobox",
            "listbox",
            "checkbox",
            "radio",
            "slider",
            "spinbutton",
            "image",
            "tab");

    private static final String RUN = """
            const [theme, only, done] = arguments;
            document.documentElement.dataset.theme = theme;
            axe.run(document, { runOnly: only, resultTypes: ["violations"] }).then(
              (seen) => done({
                passes: seen.passes.map((p) => p.id),
                violations: seen.violations.map((v) => `${v.id}: ${v.nodes[0].html} ${v.nodes.length}`),
              }),
              (trouble) => done({ passes: [], violations: [String(trouble)] }));
            """;

    /**
     * Rungs, rows and marks are made alike, dozens of them, and by then each control was asked for its name: of neighbours
     * that differ in nothing but their words two are looked at.
     */
    private static final String TWO_OF_A_KIND = """
            const kind = (e) => e.tagName + [...e.attributes]
              .map((a) => (/^(class|style|role|type|aria-(?!label)|fill|stroke)/.test(a.name) ? a.name + "=" + a.value : a.name)).sort()
              + "[" + [...e.children].map(kind) + "]";
            document.querySelectorAll("ol, ul, tbody, select, svg, g, .film").forEach((parent) => {
              const seen = new Map();
              for (const child of [...parent.children]) {
                seen.set(kind(child), (seen.get(kind(child)) ?? 0) + 1);
                if (seen.get(kind(child)) > 2) {
                  child.remove();
                }
              }
            });
            """;

    private static String read(String resource) {
        try (InputStream in = AxeBuilder.class.getResourceAsStream(resource)) {
            return new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A room is looked at for two jobs, a page beside it or led to from it for one: each costs two seconds. */
    private static final int OF_A_ROOM = 2;

    private static final int OF_A_PAGE = 1;

    /** Jobs of the demo at different places of their way, one without a calibre, one from before rounds. */
    private static final List<Integer> JOBS = List.of(5, 8, 2, 3, 1);

    /** Every page of every room, for jobs at different places of their way; those a job has no such page of are left out. */
    static Stream<String> pages() {
        Visitor visitor = new Visitor(EscrelServer.demo().url());
        return Rooms.all().stream()
                .flatMap(room -> Stream.concat(
                        there(visitor, room.address(), OF_A_ROOM),
                        room.pages().stream()
                                .map(Room.Page::address)
                                .filter(address -> !address.equals(room.address()))
                                .flatMap(address -> there(visitor, address, OF_A_PAGE))))
                .distinct();
    }

    /** As many as are wanted: a page that no job of the demo has any more would be looked at by nobody, and nobody told. */
    private static Stream<String> there(Visitor visitor, String address, int most) {
        List<String> examples = examples(address);
        List<String> there = examples.stream()
                .filter(page -> isThere(visitor, page))
                .limit(most)
                .toList();
        assertThat(there).as(address).hasSize(Math.min(most, examples.size()));
        return there.stream();
    }

    /** A job may have no such page yet; one that breaks is no page to leave out. */
    private static boolean isThere(Visitor visitor, String page) {
        int status = visitor.get(page).statusCode();
        assertThat(status).as(page).isIn(200, 404, 422);
        return status == 200;
    }

    private static List<String> examples(String address) {
        return address.contains("{job}")
                ? JOBS.stream()
                        .map(job -> address.replace("{job}", String.valueOf(job)))
                        .toList()
                : List.of(address.replace("{calibre}", "cv-12").replace("{case}", "skarholt-d-77"));
    }

    /** What only a job with two photos has, and what only a phone sees. */
    @Test
    void aPairAndAPhoneHaveNone() {
        String server = EscrelServer.demo().url();
        Visitor visitor = new Visitor(server);
        int job = visitor.openJob("Tidewell looked-at watch", "cv-12");
        BenchHand hand = new BenchHand(EscrelServer.demo(), job);
        for (int i = 0; i < 2; i++) {
            hand.upload(
                    "/strip/photo",
                    Map.of("part", "dial", "side", "DIAL"),
                    PlanPicture.of(BenchHand.demoSheet("cv-12"), Side.DIAL, c -> false));
        }
        Matcher code = Pattern.compile("/phone/([A-Z0-9]{10})<")
                .matcher(visitor.post("/jobs/" + job + "/phone", Map.of()).body());
        assertThat(code.find()).isTrue();
        hasNoViolations("/jobs/" + job + "/pairs");
        hasNoViolations("/phone/" + code.group(1));
    }

    @ParameterizedTest
    @MethodSource("pages")
    void hasNoViolations(String path) {
        browser.open(EscrelServer.demo().url() + path);
        assertThat(headings()).as("main headings of " + path).isEqualTo(1);
        List<Map<?, ?>> controls = controls();
        assertThat(nameless(controls))
                .as("in the tree a screen reader is given, on " + path)
                .isEmpty();
        assertThat(alike(controls)).as("told apart by name, on " + path).isEmpty();
        browser.driver().executeScript(TWO_OF_A_KIND);
        assertClean(path, "paper", Map.of("type", "tag", "values", List.of("wcag2a", "wcag2aa", "wcag21aa")));
        // a theme changes colours and nothing else
        assertClean(path, "lamp", Map.of("type", "rule", "values", List.of("color-contrast")));
    }

    private static long headings() {
        return (long) browser.driver()
                .executeScript(
                        "return [...document.querySelectorAll('h1')].filter((h) => h.getClientRects().length).length");
    }

    /** What has a name or should have one, where names are read from: the tree, which is not the source. */
    private static List<Map<?, ?>> controls() {
        Object nodes = browser.driver()
                .executeCdpCommand("Accessibility.getFullAXTree", Map.of())
                .get("nodes");
        List<Map<?, ?>> controls = new ArrayList<>();
        for (Object node : (List<?>) Objects.requireNonNull(nodes)) {
            Map<?, ?> one = (Map<?, ?>) node;
            if (!Boolean.TRUE.equals(one.get("ignored")) && NAMED.contains(valueOf(one, "role"))) {
                controls.add(one);
            }
        }
        return controls;
    }

    private static List<String> nameless(List<Map<?, ?>> controls) {
        return controls.stream()
                .filter(node -> valueOf(node, "name").isBlank() || isOnlyAKey(valueOf(node, "name")))
                .map(node -> valueOf(node, "role") + " “" + valueOf(node, "name") + "” has no name")
                .toList();
    }

    /**
     * Buttons and fields called the same more than twice: one in the card and one in the line of keys are one thing, and what
     * says after a colon what it is about may meet another thing of that name.
     */
    private static List<String> alike(List<Map<?, ?>> controls) {
        return controls.stream()
                .filter(node -> Set.of("button", "textbox", "combobox").contains(valueOf(node, "role")))
                .filter(node -> !valueOf(node, "name").contains(": "))
                .collect(Collectors.groupingBy(
                        node -> valueOf(node, "role") + " “" + valueOf(node, "name") + "”", Collectors.counting()))
                .entrySet()
                .stream()
                .filter(e -> e.getValue() > 2)
                .map(e -> e.getKey() + " " + e.getValue() + " times")
                .toList();
    }

    /** "8" is the key of it, and says nothing of what it does. */
    private static boolean isOnlyAKey(String name) {
        return name.matches("[0-9/*+.−-]");
    }

    private static String valueOf(Map<?, ?> node, String property) {
        return node.get(property) instanceof Map<?, ?> said ? String.valueOf(said.get("value")) : "";
    }

    /** A check that finds nothing where there is something would find nothing anywhere. */
    @Test
    void whatIsWrongIsFound() {
        browser.open(EscrelServer.demo().url() + "/");
        browser.driver().executeScript(TWO_OF_A_KIND);
        browser.driver().executeScript("""
                const main = document.querySelector("main");
                main.prepend(Object.assign(document.createElement("img"), { src: "/assets/mark.svg" }));
                const faint = Object.assign(document.createElement("p"), { textContent: "faint" });
                faint.style.color = "#ccc";
                main.prepend(faint);
                """);
        Map<?, ?> seen = (Map<?, ?>) browser.driver()
                .executeAsyncScript(RUN, "paper", Map.of("type", "tag", "values", List.of("wcag2a", "wcag2aa")));
        assertThat(String.valueOf(seen.get("violations"))).contains("image-alt", "color-contrast");
    }

    private static void assertClean(String path, String theme, Map<String, Object> only) {
        Map<?, ?> seen = (Map<?, ?>) browser.driver().executeAsyncScript(RUN, theme, only);
        assertThat(seen.get("passes")).asList().as(path).contains("color-contrast");
        assertThat(seen.get("violations")).asList().as(path + " in " + theme).isEmpty();
    }
}
