package escrel.web.inspection;

import escrel.core.mainspring.SpringsListed;
import escrel.web.job.JobHead;
import escrel.web.job.Workshop;
import escrel.web.storage.ColumnMappingMapper;
import escrel.web.storage.Json;
import escrel.web.storage.WorkshopLogs;
import java.io.IOException;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/**
 * The springs a workshop has or can order, taken in as a table. A heading that tells which column is which is believed; where it
 * does not, it is asked once and remembered for files headed alike.
 */
@Controller
class SpringListController {
    private final Workshop workshop;
    private final WorkshopLogs log;
    private final ColumnMappingMapper mappings;

    SpringListController(Workshop workshop, WorkshopLogs log, ColumnMappingMapper mappings) {
        this.workshop = workshop;
        this.log = log;
        this.mappings = mappings;
    }

    /**
     * Takes a list in, or asks what its columns mean.
     *
     * @param file goes before the table where one was chosen
     * @param ask whether it is asked even where the heading tells
     */
    @PostMapping("/jobs/{number}/mainspring/stock")
    @Transactional
    public String take(
            @PathVariable int number,
            @RequestParam(defaultValue = "") String table,
            @RequestParam(required = false) @Nullable MultipartFile file,
            @RequestParam(defaultValue = "false") boolean ask,
            Model model,
            RedirectAttributes flash)
            throws IOException {
        // the list is the workshop's, but the page it is sent from is a job's
        JobHead head = JobHead.of(workshop.load(number));
        String text = file == null || file.isEmpty() ? table : SpringTable.text(file.getBytes());
        SpringTable list = SpringTable.of(text);
        SpringColumns columns = columns(list);
        boolean told = columns.isWhole() && !ask;
        if (told || list.lines().isEmpty()) {
            return keep(number, list.springs(columns), flash);
        }
        model.addAttribute("job", head);
        model.addAttribute("text", text);
        model.addAttribute("list", list);
        model.addAttribute(
                "heads", list.heading().isEmpty() ? list.lines().get(0).cells() : list.heading());
        model.addAttribute("columns", columns.meanings());
        model.addAttribute("meanings", SpringColumns.MEANINGS);
        return "inspection/spring-columns";
    }

    /** Reads a list as its columns are said to mean, and remembers that. */
    @PostMapping("/jobs/{number}/mainspring/columns")
    @Transactional
    public String mapped(
            @PathVariable int number,
            @RequestParam String table,
            @RequestParam List<String> means,
            RedirectAttributes flash) {
        workshop.load(number);
        SpringTable list = SpringTable.of(table);
        SpringColumns columns = said(means);
        SpringsListed springs = list.springs(columns);
        if (!list.heading().isEmpty()) {
            mappings.forget(list.key());
            mappings.insert(list.key(), Json.MAPPER.writeValueAsString(columns));
        }
        return keep(number, springs, flash);
    }

    private static SpringColumns said(List<String> means) {
        try {
            SpringColumns columns = new SpringColumns(means);
            if (columns.isWhole()) {
                return columns;
            }
        } catch (IllegalArgumentException e) {
            throw SpringTable.refuse(String.valueOf(e.getMessage()));
        }
        throw SpringTable.refuse("Width, thickness and length each want a column");
    }

    private SpringColumns columns(SpringTable list) {
        if (list.heading().isEmpty()) {
            return SpringColumns.USUAL;
        }
        return mappings.find(list.key())
                .map(json -> Json.MAPPER.readValue(json, SpringColumns.class))
                .orElseGet(() -> SpringColumns.guess(list.heading()));
    }

    private String keep(int number, SpringsListed springs, RedirectAttributes flash) {
        log.append(springs);
        flash.addFlashAttribute("said", springs.springs().size() + " springs are listed for the workshop");
        return "redirect:/jobs/" + number + "/mainspring";
    }
}
