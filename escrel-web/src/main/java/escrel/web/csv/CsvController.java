package escrel.web.csv;

import escrel.core.quantity.BeatRate;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.Wound;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.sound.Analysis;
import escrel.web.sound.OccasionForm;
import escrel.web.storage.ColumnMappingMapper;
import escrel.web.storage.Json;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Readings as CSV, out and in. */
@Controller
class CsvController {
    private static final int LONGEST_HEADING = 4_000;

    private final Workshop workshop;
    private final ColumnMappingMapper mappings;

    CsvController(Workshop workshop, ColumnMappingMapper mappings) {
        this.workshop = workshop;
        this.mappings = mappings;
    }

    @GetMapping(value = "/jobs/{number}/readings.csv", produces = "text/csv;charset=UTF-8")
    @ResponseBody
    String csv(@PathVariable int number) {
        return ReadingsCsv.write(
                workshop.load(number).history().all(ReadingTaken.class).toList());
    }

    /** Takes in a file of ours at once; of another machine's, shows what its columns are taken for. */
    @PostMapping(value = "/jobs/{number}/readings/import", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @Transactional
    public String upload(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam MultipartFile file,
            Model model,
            RedirectAttributes flash)
            throws IOException {
        String text = new String(file.getBytes(), StandardCharsets.UTF_8);
        ForeignCsv csv = ForeignCsv.of(text);
        if (ReadingsCsv.isOurs(csv.heading())) {
            return append(number, seq, ReadingsCsv.read(csv), flash);
        }
        OpenJob job = workshop.load(number);
        Optional<ColumnMapping> remembered =
                mappings.find(key(csv)).map(json -> Json.MAPPER.readValue(json, ColumnMapping.class));
        ColumnMapping mapping = remembered.orElseGet(() -> ColumnMapping.guess(csv));
        Map<String, String> words = new LinkedHashMap<>();
        for (String word : csv.words(mapping.position())) {
            Position known = mapping.positions().getOrDefault(word, ForeignCsv.guess(word));
            words.put(word, known == null ? "" : known.name());
        }
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("file", csv);
        model.addAttribute("text", text);
        model.addAttribute("mapping", mapping);
        model.addAttribute("words", words);
        model.addAttribute("remembered", remembered.isPresent());
        model.addAttribute("states", ReadingState.values());
        model.addAttribute("fittings", Fitted.values());
        model.addAttribute("winds", Wound.values());
        return "csv/mapping";
    }

    /** Takes in another machine's file as its columns are taken for, and remembers that. */
    @PostMapping("/jobs/{number}/readings/mapped")
    @Transactional
    public String mapped(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam String text,
            @RequestParam String positionColumn,
            @RequestParam(defaultValue = "") String rateColumn,
            @RequestParam(defaultValue = "") String amplitudeColumn,
            @RequestParam(defaultValue = "") String beatErrorColumn,
            @RequestParam(defaultValue = "") List<String> word,
            @RequestParam(defaultValue = "") List<String> means,
            @ModelAttribute OccasionForm occasion,
            RedirectAttributes flash) {
        ForeignCsv csv = ForeignCsv.of(text);
        Map<String, Position> words = new LinkedHashMap<>();
        for (int i = 0; i < Math.min(word.size(), means.size()); i++) {
            for (Position position : Position.values()) {
                if (position.name().equals(means.get(i))) {
                    words.put(word.get(i), position);
                }
            }
        }
        ColumnMapping mapping = new ColumnMapping(positionColumn, rateColumn, amplitudeColumn, beatErrorColumn, words);
        OpenJob job = workshop.load(number);
        BeatRate beats = job.sheet() == null ? null : job.sheet().data().beatRate();
        List<Reading> readings = mapping.read(csv, Analysis.liftAngle(job.sheet()), beats);
        mappings.forget(key(csv));
        mappings.insert(key(csv), Json.MAPPER.writeValueAsString(mapping));
        return append(number, seq, readings.stream().map(occasion::taken).toList(), flash);
    }

    private String append(int number, int seq, List<ReadingTaken> taken, RedirectAttributes flash) {
        if (taken.isEmpty()) {
            throw CsvRow.refuse("The file has a heading and no readings");
        }
        workshop.append(number, seq, taken);
        flash.addFlashAttribute("said", taken.size() + " readings were taken in");
        return "redirect:/jobs/" + number + "/readings";
    }

    private static String key(ForeignCsv csv) {
        String heading = String.join("|", csv.heading());
        return heading.length() <= LONGEST_HEADING ? heading : heading.substring(0, LONGEST_HEADING);
    }
}
