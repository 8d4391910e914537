package escrel.web.arrival;

import escrel.core.MendableException;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Candidates;
import escrel.core.marks.MarkSeen;
import escrel.core.outside.Outside;
import escrel.core.outside.OutsidePiece;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingTaken;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.storage.SheetMapper;
import escrel.web.storage.Sheets;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Which calibre it may be: the library held against what is known, each sheet drawn to the same scale. */
@Controller
class WhichController {
    private static final double LARGEST = 60;
    private static final int MOST_JEWELS = 200;
    private static final int MOST = 12;

    private final Workshop workshop;
    private final Sheets sheets;

    WhichController(Workshop workshop, Sheets sheets) {
        this.workshop = workshop;
        this.sheets = sheets;
    }

    @GetMapping("/jobs/{number}/which")
    String which(
            @PathVariable int number,
            @RequestParam(required = false) @Nullable Double diameter,
            @RequestParam(required = false) @Nullable Integer jewels,
            Model model) {
        OpenJob job = workshop.load(number);
        Candidates.Facts facts = new Candidates.Facts(
                diameter != null && diameter > 0 && diameter <= LARGEST ? diameter : null,
                jewels != null && jewels > 0 && jewels <= MOST_JEWELS ? jewels : null,
                heard(job),
                numbers(job),
                pushers(job));
        List<String> kept = sheets.all().stream()
                .map(SheetMapper.SheetRow::calibre)
                .distinct()
                .toList();
        List<CalibreSheet> library =
                kept.stream().flatMap(c -> read(c).stream()).toList();
        List<Candidates.Candidate> all = Candidates.of(library, facts);
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("facts", facts);
        model.addAttribute("candidates", all.stream().limit(MOST).toList());
        model.addAttribute("more", Math.max(0, all.size() - MOST));
        model.addAttribute("unread", kept.size() - library.size());
        return "arrival/which";
    }

    /** One sheet that cannot be read spoils the page for none of the others. */
    private Optional<CalibreSheet> read(String calibre) {
        try {
            return sheets.latest(calibre);
        } catch (MendableException e) {
            return Optional.empty();
        }
    }

    /** The beat rate of the last reading that has one. */
    private static @Nullable Double heard(OpenJob job) {
        return job.history()
                .all(ReadingTaken.class)
                .map(ReadingTaken::reading)
                .map(Reading::beatRate)
                .filter(b -> b != null)
                .reduce((earlier, later) -> later)
                .map(b -> b.beatsPerHour())
                .orElse(null);
    }

    /** What was read on the movement that may name its calibre. */
    private static List<String> numbers(OpenJob job) {
        return job.history()
                .all(MarkSeen.class)
                .filter(m -> m.on() == MarkSeen.On.MOVEMENT || m.kind() == MarkSeen.Kind.CALIBRE)
                .map(MarkSeen::text)
                .toList();
    }

    private static @Nullable Boolean pushers(OpenJob job) {
        Outside outside = Outside.of(job.history());
        return outside.isSeen(OutsidePiece.PUSHERS) ? !outside.hasNone(OutsidePiece.PUSHERS) : null;
    }
}
