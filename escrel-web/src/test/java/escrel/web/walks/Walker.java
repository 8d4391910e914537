package escrel.web.walks;

import static org.assertj.core.api.Assertions.assertThat;

import escrel.core.parts.PartScrews;
import escrel.core.parts.Tray;
import escrel.core.service.PartOff;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.openqa.selenium.By;

/** Somebody at the bench with one hand on the keypad: presses keys over the real pages and counts them. */
final class Walker implements AutoCloseable {
    private final EscrelServer server = EscrelServer.demo();
    private final Browser browser = new Browser();
    private final int job;
    private int keys;
    private int keysBefore;

    /** A new job on the strip; an unknown calibre for an empty one. */
    Walker(String watch, String calibre) {
        job = new Visitor(server.url()).openJob(watch, calibre);
        browser.open(server.url() + "/jobs/" + job + "/strip");
        browser.see("#bench");
    }

    /** A watch that is known by what is written on it; its case is found by that. */
    Walker(String watch, String maker, String reference, String calibre) {
        Visitor visitor = new Visitor(server.url());
        String opened = visitor.post(
                        "/jobs",
                        Map.of(
                                "watch", watch,
                                "owner", "diver, Stennay quay",
                                "stance", "SYMPATHETIC",
                                "maker", maker,
                                "reference", reference))
                .uri()
                .getPath();
        job = Integer.parseInt(opened.replaceAll("\\D", ""));
        visitor.post("/jobs/" + job + "/calibre", Map.of("seq", visitor.sequence(job), "calibre", calibre));
        browser.open(server.url() + "/jobs/" + job + "/strip");
        browser.see("#bench");
    }

    /** Goes to a room of the job; the key of the navigation is none of the keypad. */
    Walker go(String room) {
        browser.open(server.url() + "/jobs/" + job + "/" + room);
        browser.see("main");
        return this;
    }

    /** A key that leaves the page for another. */
    Walker leave(char key, String words) {
        browser.key(key);
        browser.seeText(words);
        keys++;
        return this;
    }

    int job() {
        return job;
    }

    Browser browser() {
        return browser;
    }

    OpenJob load() {
        return server.bean(Workshop.class).load(job);
    }

    /** Keys pressed so far; words typed count as one act for each field. */
    int keys() {
        return keys;
    }

    /** Keys since this was asked last. */
    int sinceLast() {
        int since = keys - keysBefore;
        keysBefore = keys;
        return since;
    }

    /** Keys that change the bench. */
    Walker press(String pad) {
        pad.chars().forEach(key -> browser.keyOnBench((char) key));
        keys += pad.length();
        return this;
    }

    /** Keys that change only what stands on the card, as on the keypad of the screws. */
    Walker onCard(String pad) {
        pad.chars().forEach(key -> browser.key((char) key));
        keys += pad.length();
        return this;
    }

    /** Words in the field that is open, sent by Enter: one act. */
    Walker say(String words) {
        browser.type("#say", words);
        browser.enter();
        browser.untilTrue(
                "the words are taken",
                () -> browser.driver().findElements(By.id("say")).isEmpty());
        keys++;
        return this;
    }

    Walker see(String words) {
        browser.seeText(words);
        return this;
    }

    /** The part chosen on the ladder or plan; a pointer's act, counted as one. */
    Walker choose(String part) {
        browser.open(server.url() + "/jobs/" + job + "/strip?part=" + part);
        browser.see("#bench");
        keys++;
        return this;
    }

    String page(String path) {
        return new Visitor(server.url()).get("/jobs/" + job + path).body();
    }

    /** A form of a page, sent as the page sends it; what it answers. */
    String send(String path, Map<String, String> form) {
        Map<String, Object> all = new HashMap<>(form);
        all.put("seq", load().sequence());
        return new Visitor(server.url()).post("/jobs/" + job + path, all).body();
    }

    /** No reason was typed to please a rule, and what lies in the tray is what came off. */
    void assertNothingUntrue() {
        assertThat(load().history().all(PartOff.class))
                .as("reasons typed")
                .allMatch(off -> off.inSpiteOf().isEmpty());
        List<String> lying = load().job().tray().compartments().stream()
                .map(Tray.Compartment::parts)
                .flatMap(List::stream)
                .map(p -> p.code())
                .toList();
        assertThat(lying)
                .containsExactlyElementsOf(load().teardown().order().stream()
                        .filter(code -> !load().movement().requirePart(code).isPowerDown())
                        .toList());
        int screws = load().job().tray().compartments().stream()
                .mapToInt(c -> c.screws().size())
                .sum();
        assertThat(screws).isEqualTo(load().job().screws().out());
    }

    PartScrews screws(String part) {
        return load().job().screws().of(part);
    }

    @Override
    public void close() {
        browser.close();
    }
}
