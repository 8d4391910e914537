package escrel.web.dossier;

import escrel.core.quantity.Measured;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingTaken;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.storage.Json;
import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Files in and out. */
@Controller
class DossierController {
    private static final CSVFormat CSV = CSVFormat.DEFAULT
            .builder()
            .setHeader(
                    "state",
                    "fitted",
                    "wound",
                    "position",
                    "rate_seconds_per_day",
                    "rate_doubt",
                    "amplitude_degrees",
                    "amplitude_doubt",
                    "beat_error_ms",
                    "beat_error_doubt",
                    "doubt_kind",
                    "lift_time_ms",
                    "lift_angle_degrees",
                    "lift_angle_assumed",
                    "beats_per_hour",
                    "source",
                    "trace",
                    "note")
            .setRecordSeparator("\r\n")
            .get();

    private final Dossiers dossiers;
    private final Workshop workshop;

    DossierController(Dossiers dossiers, Workshop workshop) {
        this.dossiers = dossiers;
        this.workshop = workshop;
    }

    @GetMapping(value = "/jobs/{number}/dossier.json", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    String export(@PathVariable int number) {
        return Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(dossiers.export(number));
    }

    @PostMapping("/jobs/import")
    String take(@RequestParam MultipartFile dossier, RedirectAttributes flash) throws IOException {
        int number = dossiers.take(new String(dossier.getBytes(), StandardCharsets.UTF_8));
        flash.addFlashAttribute("said", "The dossier was taken in as job " + number);
        return "redirect:/jobs/" + number + "/arrival";
    }

    @GetMapping(value = "/jobs/{number}/readings.csv", produces = "text/csv;charset=UTF-8")
    @ResponseBody
    String csv(@PathVariable int number) throws IOException {
        OpenJob job = workshop.load(number);
        StringWriter out = new StringWriter();
        try (CSVPrinter printer = new CSVPrinter(out, CSV)) {
            for (ReadingTaken taken : job.history().all(ReadingTaken.class).toList()) {
                Reading r = taken.reading();
                printer.printRecord(
                        taken.state(),
                        taken.fitted(),
                        taken.wound(),
                        r.position().mark(),
                        value(r.rateSecondsPerDay()),
                        doubt(r.rateSecondsPerDay()),
                        value(r.amplitudeDegrees()),
                        doubt(r.amplitudeDegrees()),
                        value(r.beatErrorMillis()),
                        doubt(r.beatErrorMillis()),
                        r.rateSecondsPerDay() == null
                                ? ""
                                : r.rateSecondsPerDay().kind(),
                        r.lift() == null
                                ? ""
                                : "%.4f".formatted(r.lift().liftMillis().value()),
                        r.liftAngle().degrees(),
                        r.liftAngle().assumed(),
                        r.beatRate().beatsPerHour(),
                        r.source(),
                        r.trace(),
                        r.note());
            }
        }
        return out.toString();
    }

    private static String value(@Nullable Measured measured) {
        return measured == null ? "" : String.format(Locale.ROOT, "%.2f", measured.value());
    }

    private static String doubt(@Nullable Measured measured) {
        return measured == null ? "" : String.format(Locale.ROOT, "%.2f", measured.doubt());
    }
}
