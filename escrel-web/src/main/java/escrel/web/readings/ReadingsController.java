package escrel.web.readings;

import escrel.core.calibre.CalibreSheet;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.acoustics.BeatAnalyser;
import escrel.core.timing.acoustics.Sound;
import escrel.core.timing.acoustics.SoundReading;
import escrel.core.timing.acoustics.WavFile;
import escrel.core.timing.readings.DidNotRun;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.Source;
import escrel.core.timing.readings.Trace;
import escrel.core.timing.readings.Wound;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import java.io.IOException;
import java.io.InputStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Takes readings and shows them. */
@Controller
class ReadingsController {
    private final Workshop workshop;

    ReadingsController(Workshop workshop) {
        this.workshop = workshop;
    }

    @GetMapping("/jobs/{number}/readings")
    String readings(
            @PathVariable int number,
            @RequestParam(required = false) @Nullable ReadingState state,
            @RequestParam(required = false) @Nullable Position position,
            Model model) {
        OpenJob job = workshop.load(number);
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("view", ReadingsView.of(job, state, position));
        model.addAttribute("fittings", Fitted.values());
        model.addAttribute("windings", Wound.values());
        model.addAttribute("traces", Trace.values());
        return "readings/readings";
    }

    @PostMapping("/jobs/{number}/readings/typed")
    String typed(@PathVariable int number, @RequestParam int seq, @ModelAttribute ReadingForm form) {
        OpenJob job = workshop.load(number);
        workshop.append(number, seq, form.taken(liftAngle(job), beatRate(job)));
        return back(number, form.state(), form.position());
    }

    @PostMapping("/jobs/{number}/readings/recording")
    String recording(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam ReadingState state,
            @RequestParam Fitted fitted,
            @RequestParam Wound wound,
            @RequestParam Position position,
            @RequestParam MultipartFile sound,
            RedirectAttributes flash)
            throws IOException {
        OpenJob job = workshop.load(number);
        SoundReading heard = analyse(job, sound);
        Reading reading = new Reading(
                position,
                heard.rateSecondsPerDay(),
                heard.amplitudeDegrees(),
                heard.beatErrorMillis(),
                heard.lift(),
                heard.liftAngle(),
                heard.beatRate(),
                Source.RECORDING,
                Trace.NOT_SAID,
                "");
        workshop.append(number, seq, new ReadingTaken(state, fitted, wound, reading));
        flash.addFlashAttribute("heard", HeardView.of(heard));
        return back(number, state, position);
    }

    private static SoundReading analyse(OpenJob job, MultipartFile file) throws IOException {
        Sound sound;
        try (InputStream in = file.getInputStream()) {
            sound = WavFile.read(in);
        }
        CalibreSheet sheet = job.sheet();
        return sheet == null
                ? BeatAnalyser.recognising(LiftAngle.ASSUMED_52).analyse(sound)
                : BeatAnalyser.forBeatRate(sheet.data().beatRate(), sheet.data().liftAngle())
                        .analyse(sound);
    }

    @PostMapping("/jobs/{number}/readings/none")
    String none(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam ReadingState state,
            @RequestParam(defaultValue = "") String words) {
        workshop.append(number, seq, new DidNotRun(state, words.strip()));
        return "redirect:/jobs/" + number + "/readings?state=" + state;
    }

    private static LiftAngle liftAngle(OpenJob job) {
        CalibreSheet sheet = job.sheet();
        return sheet == null ? LiftAngle.ASSUMED_52 : sheet.data().liftAngle();
    }

    private static BeatRate beatRate(OpenJob job) {
        CalibreSheet sheet = job.sheet();
        return sheet == null ? BeatRate.of(18_000) : sheet.data().beatRate();
    }

    private static String back(int number, ReadingState state, Position position) {
        int next = (position.ordinal() + 1) % Position.values().length;
        return "redirect:/jobs/%d/readings?state=%s&position=%s".formatted(number, state, Position.values()[next]);
    }
}
