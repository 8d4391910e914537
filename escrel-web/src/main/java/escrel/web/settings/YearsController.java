package escrel.web.settings;

import escrel.core.MendableException;
import escrel.core.marks.MarkSeen;
import escrel.core.marks.YearsKept;
import escrel.core.marks.YearsKept.Row;
import escrel.web.storage.WorkshopLogs;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Tables of years by number, a maker each. */
@Controller
class YearsController {
    private static final int LONGEST = 20_000;
    private static final double WIDTH = 600;
    private static final double HEIGHT = 120;

    private final WorkshopLogs log;

    YearsController(WorkshopLogs log) {
        this.log = log;
    }

    /**
     * A table as drawn.
     *
     * @param path numbers to the right, years upwards, as steps
     * @param lines as they are typed
     */
    record Drawn(YearsKept table, String path, String lines) {}

    @GetMapping("/settings/years")
    String years(Model model) {
        model.addAttribute(
                "tables",
                log.load().years().all().stream().map(YearsController::drawn).toList());
        model.addAttribute("ons", MarkSeen.On.values());
        model.addAttribute("certainties", YearsKept.Certainty.values());
        return "settings/years";
    }

    private static Drawn drawn(YearsKept table) {
        List<Row> rows = table.rows();
        double first = rows.get(0).from();
        double span = Math.max(1, rows.get(rows.size() - 1).from() - first);
        double begin = rows.get(0).year();
        double years = Math.max(1, rows.get(rows.size() - 1).year() - begin);
        StringBuilder path = new StringBuilder();
        for (Row row : rows) {
            long x = Math.round(WIDTH * (row.from() - first) / span);
            long y = Math.round(HEIGHT - HEIGHT * (row.year() - begin) / years);
            path.append(path.isEmpty() ? "M" + x + " " + y : "H" + x + "V" + y);
        }
        return new Drawn(
                table,
                path + "H" + Math.round(WIDTH + 20),
                rows.stream().map(r -> r.from() + "\t" + r.year()).collect(Collectors.joining("\n")));
    }

    @PostMapping("/settings/years")
    String keep(
            @RequestParam(defaultValue = "") String maker,
            @RequestParam MarkSeen.On on,
            @RequestParam YearsKept.Certainty certainty,
            @RequestParam(defaultValue = "") String table,
            RedirectAttributes flash) {
        if (table.length() > LONGEST) {
            throw refuse("The table is longer than " + LONGEST + " characters");
        }
        try {
            YearsKept kept = new YearsKept(maker, on, certainty, rows(table));
            log.append(kept);
            flash.addFlashAttribute("said", kept.rows().size() + " rows are kept");
        } catch (IllegalArgumentException e) {
            throw refuse(String.valueOf(e.getMessage()));
        }
        return "redirect:/settings/years";
    }

    private static List<Row> rows(String table) {
        List<Row> rows = new ArrayList<>();
        int number = 0;
        for (String line : table.split("\\R")) {
            number++;
            if (line.isBlank()) {
                continue;
            }
            String[] cells = line.strip().split("[\t;,]+\\s*|\\s+(?=\\d{4}$)");
            if (cells.length != 2
                    || !cells[0].matches("\\d{1,12}")
                    || !cells[1].strip().matches("\\d{4}")) {
                throw new IllegalArgumentException("Line " + number + " is no number and year: " + line.strip());
            }
            rows.add(new Row(Long.parseLong(cells[0]), Integer.parseInt(cells[1].strip())));
        }
        return rows;
    }

    private static MendableException refuse(String what) {
        return new MendableException(
                what, "The tables are as they were.", "A line each: the first number of a year, then the year.");
    }
}
