package escrel.web.readings;

import escrel.core.quantity.BeatRate;
import escrel.core.service.StepKind;
import escrel.core.service.WorkAgreed;
import escrel.core.timing.acoustics.SoundReading;
import escrel.core.timing.acoustics.Stretches;
import escrel.core.timing.beats.Channels;
import escrel.core.timing.readings.Chronograph;
import escrel.core.timing.readings.CompassTried;
import escrel.core.timing.readings.CompassTried.Follows;
import escrel.core.timing.readings.Demagnetised;
import escrel.core.timing.readings.DeviceClock;
import escrel.core.timing.readings.DidNotRun;
import escrel.core.timing.readings.Fitted;
import escrel.core.timing.readings.Intervened;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.timing.readings.ReadingState;
import escrel.core.timing.readings.Source;
import escrel.core.timing.readings.StoppedAfter;
import escrel.core.timing.readings.Trace;
import escrel.core.timing.readings.Wound;
import escrel.core.timing.sound.WavStream;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Undo;
import escrel.web.job.Workshop;
import escrel.web.sound.Analysis;
import escrel.web.sound.Devices;
import escrel.web.sound.HeardView;
import escrel.web.sound.OccasionForm;
import escrel.web.sound.Recordings;
import java.io.IOException;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
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
    private final Recordings recordings;
    private final Devices devices;

    ReadingsController(Workshop workshop, Recordings recordings, Devices devices) {
        this.workshop = workshop;
        this.recordings = recordings;
        this.devices = devices;
    }

    @GetMapping("/jobs/{number}/readings")
    String readings(
            @PathVariable int number,
            @RequestParam(required = false) @Nullable String set,
            @RequestParam(required = false) @Nullable ReadingState state,
            @RequestParam(required = false) @Nullable Position position,
            Model model) {
        OpenJob job = workshop.load(number);
        model.addAttribute("suspicions", job.job().suspicions().open());
        model.addAttribute("parts", job.movement().homes());
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("undo", Undo.of(job, StepKind.READINGS));
        model.addAttribute("view", ReadingsView.of(job, set, state, position));
        model.addAttribute("magnetism", MagnetismView.of(job.job()));
        model.addAttribute("recordings", recordings.all(number));
        model.addAttribute("devices", devices.all());
        model.addAttribute("fittings", Fitted.values());
        model.addAttribute("windings", Wound.values());
        model.addAttribute("chronographs", Chronograph.values());
        model.addAttribute("traces", Trace.values());
        return "readings/readings";
    }

    @PostMapping("/jobs/{number}/readings/typed")
    String typed(
            @PathVariable int number,
            @RequestParam int seq,
            @ModelAttribute OccasionForm occasion,
            @ModelAttribute ReadingForm form) {
        OpenJob job = workshop.load(number);
        Reading reading = form.reading(occasion.place(), Analysis.liftAngle(job.sheet()), beatRate(job));
        workshop.append(number, seq, occasion.taken(reading));
        return back(number, occasion);
    }

    @PostMapping("/jobs/{number}/readings/recording")
    @Transactional
    public String recording(
            @PathVariable int number,
            @RequestParam int seq,
            @ModelAttribute OccasionForm occasion,
            @RequestParam(defaultValue = "") String device,
            @RequestParam MultipartFile sound,
            RedirectAttributes flash)
            throws IOException {
        OpenJob job = workshop.load(number);
        SoundReading heard;
        Recordings.Length length;
        try (WavStream stream = WavStream.open(sound.getInputStream(), Channels::beating)) {
            length = new Recordings.Length(stream.sampleRate(), stream.seconds());
            heard = Stretches.analyse(Analysis.analyser(job.sheet()), stream);
        }
        DeviceClock clock = devices.clockOf(device);
        String name = sound.getOriginalFilename() == null ? "recording.wav" : sound.getOriginalFilename();
        int kept = recordings.keep(number, name, sound.getInputStream(), length, clock.device(), false);
        Reading reading = Analysis.reading(heard, occasion.place(), clock, Source.RECORDING, kept);
        workshop.append(number, seq, occasion.taken(reading));
        flash.addFlashAttribute("heard", HeardView.of(heard));
        return back(number, occasion);
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

    @PostMapping("/jobs/{number}/readings/compass")
    String compass(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam Follows follows,
            @RequestParam(defaultValue = "false") boolean simulated,
            @RequestParam(defaultValue = "") String note) {
        Source source = simulated ? Source.SIMULATED : Source.TYPED;
        workshop.append(number, seq, new CompassTried(follows, source, note.strip()));
        return "redirect:/jobs/" + number + "/readings#magnetism";
    }

    @PostMapping("/jobs/{number}/readings/demagnetised")
    String demagnetised(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam(defaultValue = "3") int passes,
            @RequestParam(defaultValue = "") String note) {
        workshop.append(number, seq, new Demagnetised(Math.max(1, Math.min(20, passes)), note.strip()));
        boolean nothingElse = workshop.load(number)
                .job()
                .agreed()
                .filter(a -> a.work() == WorkAgreed.Work.DEMAGNETISE)
                .isPresent();
        // where nothing else was agreed, the readings after it are those with which the watch leaves
        ReadingState next = nothingElse ? ReadingState.FINAL_CASED : ReadingState.AFTER_DEMAGNETISING;
        return "redirect:/jobs/" + number + "/readings?state=" + next + "#magnetism";
    }

    /** Something was done between two sets of readings. */
    @PostMapping("/jobs/{number}/readings/between")
    String between(
            @PathVariable int number,
            @RequestParam int seq,
            @RequestParam Intervened.What what,
            @RequestParam(defaultValue = "") String words) {
        workshop.append(number, seq, new Intervened(what, words.strip()));
        return "redirect:/jobs/" + number + "/readings";
    }

    @PostMapping("/jobs/{number}/readings/stopped")
    String stopped(@PathVariable int number, @RequestParam int seq, @RequestParam double hours) {
        workshop.append(number, seq, new StoppedAfter(hours));
        return "redirect:/jobs/" + number + "/running";
    }

    private static @Nullable BeatRate beatRate(OpenJob job) {
        return job.sheet() == null ? null : job.sheet().data().beatRate();
    }

    /** Back to the set just read, with the next position up. */
    private String back(int number, OccasionForm form) {
        int next = (form.place().ordinal() + 1) % Position.values().length;
        OpenJob job = workshop.load(number);
        String set = job.readings().stream()
                .filter(s -> s.lastAt() == job.sequence())
                .findFirst()
                .map(ReadingSet::key)
                .orElse(ReadingsView.key(form.occasion()));
        return "redirect:/jobs/%d/readings?set=%s&position=%s".formatted(number, set, Position.values()[next]);
    }
}
