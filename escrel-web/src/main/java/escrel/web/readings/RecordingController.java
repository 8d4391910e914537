package escrel.web.readings;

import escrel.core.MendableException;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.acoustics.BeatAnalyser;
import escrel.core.timing.acoustics.SoundReading;
import escrel.core.timing.beats.NoCredibleBeatException;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.Source;
import escrel.web.job.JobHead;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.sound.Analysis;
import escrel.web.sound.Devices;
import escrel.web.sound.HeardView;
import escrel.web.sound.Recordings;
import escrel.web.storage.RecordingMapper.RecordingRow;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.InputStreamResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Recordings kept with a job: listened to again with another lift angle, beat rate or band, and given out. */
@Controller
class RecordingController {
    private static final double LOWEST_BAND = 200;
    private static final double HIGHEST_BAND = 8_000;

    private final Workshop workshop;
    private final Recordings recordings;
    private final Devices devices;

    RecordingController(Workshop workshop, Recordings recordings, Devices devices) {
        this.workshop = workshop;
        this.recordings = recordings;
        this.devices = devices;
    }

    /**
     * How to listen again; what is left out is as on the sheet.
     *
     * @param bandHertz lowest frequency listened to
     */
    record ListenForm(
            @Nullable Double liftAngle,
            @Nullable Double beatsPerHour,
            @Nullable Double bandHertz) {
        BeatAnalyser analyser(OpenJob job) {
            LiftAngle lift = liftAngle == null
                    ? Analysis.liftAngle(job.sheet())
                    : LiftAngle.known(within("lift angle", liftAngle, 20, 90));
            BeatRate rate = beatsPerHour != null
                    ? BeatRate.of(within("beats per hour", beatsPerHour, 7_200, 72_000))
                    : job.sheet() == null ? null : job.sheet().data().beatRate();
            BeatAnalyser analyser = Analysis.analyser(rate, lift);
            return bandHertz == null
                    ? analyser
                    : analyser.listeningAbove(within("lowest frequency", bandHertz, LOWEST_BAND, HIGHEST_BAND));
        }

        private static double within(String name, double value, double low, double high) {
            if (!(value >= low && value <= high)) {
                throw new MendableException(
                        "%s of %s lies outside %.0f to %.0f".formatted(name, value, low, high),
                        "Nothing was changed.",
                        "Correct the field and listen again.");
            }
            return value;
        }
    }

    @GetMapping("/jobs/{number}/recordings/{recording}")
    String recording(
            @PathVariable int number, @PathVariable int recording, @ModelAttribute ListenForm form, Model model) {
        OpenJob job = workshop.load(number);
        RecordingRow row = recordings.row(number, recording);
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("row", row);
        model.addAttribute("form", form);
        model.addAttribute("liftAngle", Analysis.liftAngle(job.sheet()));
        model.addAttribute("taken", takenFrom(job, recording).orElse(null));
        try {
            SoundReading heard = recordings.listen(number, recording, form.analyser(job));
            model.addAttribute("sound", heard);
            model.addAttribute("heard", HeardView.of(heard));
        } catch (NoCredibleBeatException e) {
            model.addAttribute("refused", e);
        }
        return "readings/recording";
    }

    /** Puts what is heard now in place of the reading that was taken from this recording. */
    @PostMapping("/jobs/{number}/recordings/{recording}")
    String replace(
            @PathVariable int number,
            @PathVariable int recording,
            @RequestParam int seq,
            @ModelAttribute ListenForm form) {
        OpenJob job = workshop.load(number);
        ReadingTaken was = takenFrom(job, recording)
                .orElseThrow(() -> new MendableException(
                        "No reading of this job was taken from recording " + recording,
                        "Nothing was changed.",
                        "Upload the recording on the readings page to take a reading from it."));
        RecordingRow row = recordings.row(number, recording);
        Reading reading = Analysis.reading(
                recordings.listen(number, recording, form.analyser(job)),
                was.reading().position(),
                was.reading().clock() == null
                        ? devices.clockOf(row.device())
                        : was.reading().clock(),
                row.simulated() ? Source.SIMULATED : Source.RECORDING,
                recording);
        workshop.append(
                number,
                seq,
                new ReadingTaken(was.state(), was.fitted(), was.wound(), was.woundHours(), was.chronograph(), reading));
        return "redirect:/jobs/%d/readings?set=%s".formatted(number, ReadingsView.key(was.occasion()));
    }

    @GetMapping("/jobs/{number}/recordings/{recording}.wav")
    ResponseEntity<Resource> wav(@PathVariable int number, @PathVariable int recording) {
        String name = "job-%d-recording-%d.wav".formatted(number, recording);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("audio/wav"))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(new InputStreamResource(recordings.wav(number, recording)));
    }

    private static Optional<ReadingTaken> takenFrom(OpenJob job, int recording) {
        return job.history()
                .all(ReadingTaken.class)
                .filter(t -> t.reading().recording() != null && t.reading().recording() == recording)
                .reduce((first, last) -> last);
    }
}
