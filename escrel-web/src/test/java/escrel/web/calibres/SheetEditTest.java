package escrel.web.calibres;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Lore;
import escrel.core.calibre.Part;
import escrel.core.calibre.SheetCheck;
import escrel.web.storage.SheetJson;
import escrel.web.storage.Sheets;
import escrel.web.testing.BenchHand;
import escrel.web.testing.Browser;
import escrel.web.testing.EscrelServer;
import escrel.web.testing.Visitor;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;

/** Sheets are edited in tables, by keyboard and by pasting. */
class SheetEditTest {
    private static EscrelServer server;

    @BeforeAll
    static void start() {
        server = EscrelServer.empty();
        server.bean(Sheets.class).keep(BenchHand.demoSheet("cv-12"));
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    private static Map<String, String> typed(CalibreSheet sheet) {
        Map<String, String> tables = new HashMap<>();
        for (SheetTable.Filled filled : SheetTableRows.of(sheet)) {
            tables.put(
                    filled.table().name().toLowerCase(),
                    filled.rows().stream().map(r -> String.join("\t", r)).collect(Collectors.joining("\n")));
        }
        return tables;
    }

    @ParameterizedTest
    @ValueSource(strings = {"cv-12", "cv-24", "cv-28", "cv-33", "l-43", "p-8", "m-7h"})
    void sheetComesBackFromItsTablesAsItWent(String id) {
        CalibreSheet sheet = BenchHand.demoSheet(id);

        assertThat(SheetJson.write(SheetTables.read(sheet, typed(sheet)))).isEqualTo(SheetJson.write(sheet));
        // a table that was not sent stays as it was
        assertThat(SheetJson.write(SheetTables.read(sheet, Map.of()))).isEqualTo(SheetJson.write(sheet));
    }

    @Test
    void partOfAVariantNobodyDescribedIsNamed() {
        CalibreSheet sheet = BenchHand.demoSheet("cv-12");
        Map<String, String> tables = typed(sheet);
        tables.merge("lore", "variant part\tCV-12 late\tdial\tnone\t", (was, more) -> was + "\n" + more);

        assertThatThrownBy(() -> SheetTables.read(sheet, tables))
                .isInstanceOf(MendableException.class)
                .hasMessageContaining("is no variant of this sheet");
        tables.merge("lore", "variant\tCV-12 late\t\tno dial\t", (was, more) -> was + "\n" + more);
        assertThat(SheetTables.read(sheet, tables).lore().variants().get(1).changes())
                .containsExactly(new Lore.Change("dial", null, ""));
    }

    @Test
    void whatCannotBeReadIsNamedByTableRowAndColumn() {
        CalibreSheet sheet = BenchHand.demoSheet("cv-12");
        Map<String, String> tables = typed(sheet);
        tables.put("screws", "s-1\tdial\tone\t2\tshort\n\ns-2\tdial\t1\t2\tshortish\t\t\t0.8");
        tables.put("lore", "riddle\twhat is it");

        assertThatThrownBy(() -> SheetTables.read(sheet, tables))
                .isInstanceOf(MendableException.class)
                .hasMessageContaining("Screws, row 1, x: “one” is no number")
                .hasMessageContaining("Screws, row 3, length: “shortish” is none of very short, short, middle, long")
                .hasMessageContaining("Knowledge, row 1, kind: “riddle” is none of trap");
    }

    @Test
    void missingCountOfTheTrainIsWorkedOutFromTheBeat() {
        CalibreSheet sheet = BenchHand.demoSheet("cv-12");
        String train = typed(sheet).get("train");

        assertThat(SheetTables.read(sheet, Map.of("train", train.replace("third-wheel\t75", "third-wheel\t?")))
                        .train())
                .isEqualTo(sheet.train());
        assertThat(SheetTables.read(sheet, Map.of("train", train.replace("\t15\t8", "\t15\t?")))
                        .train())
                .isEqualTo(sheet.train());
        assertThatThrownBy(() -> SheetTables.read(sheet, Map.of("train", train.replace("barrel\t72", "barrel\t?"))))
                .hasMessageContaining("Train, row 1, wheel teeth: “?” has no whole number that gives the stated beat");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "parts | mainspring | 11 | 999 | takes between 0 and 240 minutes, not 999.0",
                "parts | balance | 15 | no-mate | names the part 'no-mate'",
                "parts | dial | 0 | stem | The part code 'stem' stands twice",
                "screws | ratchet-1 | 7 | -1 | wants a blade between 0 and 6 mm, not -1.0",
                "screws | ratchet-1 | 1 | no-part | names the part 'no-part'",
                "shapes | barrel | 4 | -3 | has an impossible size: radius -3.0",
                "shapes | barrel | 2 | 30 | the plate only 11.85 mm",
                "train | third-wheel | 1 | 76 | the sheet states 18000.0",
                "oil | o-click | 2 | no-part | names the part 'no-part'",
                "data | beats per hour | 1 | 10 | The beat rate must lie between 3 600 and 72 000"
            })
    void impossibleSizesAndStrangeNamesAreFaults(String table, String row, int column, String value, String fault) {
        CalibreSheet sheet = BenchHand.demoSheet("cv-12");
        String changed = typed(sheet)
                .get(table)
                .lines()
                .map(line -> {
                    String[] cells = line.split("\t", -1);
                    if (cells[0].equals(row)) {
                        cells[column] = value;
                    }
                    return String.join("\t", cells);
                })
                .collect(Collectors.joining("\n"));

        assertThat(SheetCheck.faultsOf(SheetTables.read(sheet, Map.of(table, changed))))
                .anySatisfy(f -> assertThat(f).contains(fault));
    }

    @Test
    void faultsOfTheSheetRefuseItAndNothingIsLost() {
        Visitor visitor = new Visitor(server.url());
        Map<String, String> tables = typed(BenchHand.demoSheet("cv-12"));
        tables.put("from", "1");
        tables.merge("holds", "\nstem\tclutch\tround it\tstated", String::concat);
        HttpResponse<String> page = visitor.post("/calibres/cv-12/edit", tables);

        assertThat(page.statusCode()).isEqualTo(422);
        assertThat(page.body()).contains("hold each other in a ring", "The sheet is as it was");
        assertThat(server.bean(Sheets.class).latestVersion("cv-12")).isEqualTo(version());
    }

    private static int version() {
        return server.bean(Sheets.class).latestVersion("cv-12");
    }

    @Test
    void listIsPastedAndKeptAsTheNextVersion() {
        int before = version();
        try (Browser browser = new Browser()) {
            browser.open(server.url() + "/calibres/cv-12/edit");
            browser.click("#tab-HOLDS");
            browser.see("[data-table=holds]");
            int rows = browser.driver()
                    .findElements(By.cssSelector("[data-table=holds] tbody tr"))
                    .size();
            browser.driver().executeScript("""
                    const cell = document.querySelector('[data-table=holds] tbody tr:last-child input');
                    const data = new DataTransfer();
                    data.setData('text', 'regulator\\tbalance-cock\\tcarried by it\\tstated\\n'
                        + 'mainspring\\tbarrel\\tinside it\\tstated\\n');
                    cell.dispatchEvent(new ClipboardEvent('paste', {clipboardData: data, bubbles: true, cancelable: true}));
                    """);
            assertThat(browser.driver().findElements(By.cssSelector("[data-table=holds] tbody tr")))
                    .hasSize(rows + 2);
            browser.click("#tab-DATA");
            browser.driver()
                    .findElement(By.cssSelector("[data-table=data] tbody tr:first-child td:nth-child(2) input"))
                    .sendKeys(", corrected", Keys.ARROW_DOWN);
            assertThat(browser.driver().switchTo().activeElement().getDomProperty("value"))
                    .isEqualTo("23.7");
            browser.click("form .button.main");
            browser.seeText("is kept as version " + (before + 1));
        }
        CalibreSheet kept = server.bean(Sheets.class).latest("cv-12").orElseThrow();
        assertThat(kept.name()).endsWith(", corrected");
        assertThat(kept.holdsOn("mainspring")).extracting(h -> h.by()).contains("barrel", "barrel-arbor");
    }

    @Test
    void sheetIsBegunFromNothing() {
        Visitor visitor = new Visitor(server.url());
        HttpResponse<String> page = visitor.post("/calibres/new", Map.of("newId", "new-one", "newName", "New one"));

        assertThat(page.uri().getPath()).isEqualTo("/calibres/new-one/edit");
        assertThat(page.body()).contains("stem");
        assertThat(visitor.post("/calibres/new", Map.of("newId", "New One", "newName", "x"))
                        .body())
                .contains("must be lower-case letters");
    }

    @Test
    void relatedCalibreBeginsAsACopyAndDocumentsAreAttachedWithTheirSource() {
        Visitor visitor = new Visitor(server.url());
        HttpResponse<String> page =
                visitor.post("/calibres/cv-12/copy", Map.of("newId", "cv-12b", "newName", "CV-12 b"));

        assertThat(page.uri().getPath()).isEqualTo("/calibres/cv-12b/edit");
        assertThat(server.bean(Sheets.class).latest("cv-12b").orElseThrow().parts())
                .extracting(Part::code)
                .contains("mainspring");
        assertThat(visitor.post("/calibres/cv-12/copy", Map.of("newId", "cv-12b", "newName", "again"))
                        .body())
                .contains("There is a sheet “cv-12b” already");

        visitor.upload(
                "/calibres/cv-12/documents",
                Map.of("title", "Parts list", "source", "found in the box"),
                "document",
                "list.txt",
                "one wheel".getBytes(StandardCharsets.UTF_8));
        assertThat(visitor.get("/calibres/cv-12").body()).contains("Parts list", "from found in the box");
        HttpResponse<String> document = visitor.get("/calibres/cv-12/documents/1");
        assertThat(document.body()).isEqualTo("one wheel");
        assertThat(document.headers().firstValue("Content-Disposition").orElse(""))
                .startsWith("attachment");
    }

    private static Map<String, String> typedInto(CalibreSheet sheet, int from, String table, String line) {
        Map<String, String> tables = typed(sheet);
        tables.put("from", Integer.toString(from));
        tables.put(table, tables.get(table) + "\n" + line);
        return tables;
    }

    /** Two tabs with the same sheet: the later one must not take back what the earlier one kept. */
    @Test
    void aStaleTabKeepsWhatTheOtherChanged() {
        Sheets sheets = server.bean(Sheets.class);
        Visitor visitor = new Visitor(server.url());
        visitor.post("/calibres/cv-12/copy", Map.of("newId", "stale-tab", "newName", "Stale tab"));
        CalibreSheet before = sheets.latest("stale-tab").orElseThrow();
        int from = sheets.latestVersion("stale-tab");
        Map<String, String> first = typedInto(before, from, "lore", "trap\tthe click spring flies");
        Map<String, String> second =
                typedInto(before, from, "tests", "T-99\tFreedom of the train\tTRAIN\ttrain-bridge");
        Map<String, String> third = typedInto(before, from, "lore", "trap\tanother one");

        for (Map<String, String> sent : List.of(first, second, second)) {
            assertThat(visitor.post("/calibres/stale-tab/edit", sent).statusCode())
                    .isEqualTo(200);
        }
        HttpResponse<String> refused = visitor.post("/calibres/stale-tab/edit", third);

        CalibreSheet now = sheets.latest("stale-tab").orElseThrow();
        assertThat(now.traps()).contains("the click spring flies").doesNotContain("another one");
        assertThat(now.test("T-99")).isPresent();
        assertThat(sheets.latestVersion("stale-tab")).isEqualTo(from + 2);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("in the same tables: Knowledge");
    }
}
