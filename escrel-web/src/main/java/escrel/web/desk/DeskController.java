package escrel.web.desk;

import escrel.core.MendableException;
import escrel.core.timing.acoustics.SoundReading;
import escrel.core.timing.readings.DeviceClock;
import escrel.core.timing.readings.Handlings;
import escrel.core.timing.readings.Position;
import escrel.core.timing.readings.Reading;
import escrel.core.timing.readings.ReadingTaken;
import escrel.core.timing.readings.Source;
import escrel.web.format.Show;
import escrel.web.job.JobHead;
import escrel.web.job.LaidDown;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.sound.Analysis;
import escrel.web.sound.Devices;
import escrel.web.sound.OccasionForm;
import escrel.web.sound.Recordings;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The sound desk: sound in, figures out, and readings taken into the job. */
@Controller
class DeskController {
    private static final double LOWEST_RATE = 8_000;
    private static final double HIGHEST_RATE = 192_000;
    private static final int LARGEST_PIECE = 4 * 192_000;

    private final Workshop workshop;
    private final DeskSessions sessions;
    private final Devices devices;
    private final Recordings recordings;
    private final LaidDown laid;

    DeskController(Workshop workshop, DeskSessions sessions, Devices devices, Recordings recordings, LaidDown laid) {
        this.laid = laid;
        this.workshop = workshop;
        this.sessions = sessions;
        this.devices = devices;
        this.recordings = recordings;
    }

    /** A listening that was opened. */
    record Opened(String id, boolean calibrated, String clock) {}

    /**
     * A reading that was taken, as its row shows it.
     *
     * @param again why the watch should be laid down once more; empty where it need not
     */
    record Row(String position, String rate, String amplitude, String beatError, String source, String again) {}

    @GetMapping("/jobs/{number}/desk")
    String desk(
            @PathVariable int number,
            @ModelAttribute OccasionForm form,
            @RequestHeader(name = "HX-Request", required = false) @Nullable String part,
            Model model) {
        OpenJob job = workshop.load(number);
        model.addAttribute("job", JobHead.of(job));
        model.addAttribute("view", DeskView.of(job, form));
        // another occasion shows its own readings without the page being left
        return part == null ? "desk/desk" : "desk/desk :: rows";
    }

    /** The chosen positions in the order of fewest turns. */
    @GetMapping(value = "/jobs/{number}/desk/order", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    List<Position> order(@PathVariable int number, @RequestParam List<Position> position) {
        return Handlings.order(position);
    }

    @PostMapping("/jobs/{number}/desk/open")
    @ResponseBody
    Opened open(
            @PathVariable int number,
            @RequestParam double sampleRate,
            @RequestParam(defaultValue = "") String device,
            @RequestParam(defaultValue = "false") boolean simulated) {
        if (!(sampleRate >= LOWEST_RATE && sampleRate <= HIGHEST_RATE)) {
            throw new MendableException(
                    "The device gives %.0f samples a second, which cannot be used".formatted(sampleRate),
                    "Nothing was recorded.",
                    "Choose another device, or 44 100 or 48 000 samples a second in the computer's sound settings.");
        }
        OpenJob job = workshop.load(number);
        DeskSession session = new DeskSession(
                number,
                // the simulated pick-up keeps exact time
                simulated ? new DeviceClock("simulated pick-up", 0, 0.0) : devices.clockOf(device),
                simulated,
                Analysis.analyser(job.sheet()),
                Analysis.escapeTeeth(job.sheet()),
                sampleRate);
        return new Opened(sessions.add(session), session.clock.calibrated(), ClockWords.of(session.clock));
    }

    @PostMapping(
            value = "/jobs/{number}/desk/{id}/sound",
            consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE,
            produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    DeskState sound(@PathVariable int number, @PathVariable String id, @RequestBody(required = false) byte[] body) {
        byte[] bytes = body == null ? new byte[0] : body;
        if (bytes.length % Float.BYTES != 0 || bytes.length > LARGEST_PIECE) {
            throw new MendableException(
                    "A piece of sound of %d bytes is none: it has whole samples, %d bytes at most"
                            .formatted(bytes.length, LARGEST_PIECE),
                    "Readings taken are recorded; this piece was not heard.",
                    "Begin to listen again.");
        }
        float[] piece = new float[bytes.length / Float.BYTES];
        ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN).asFloatBuffer().get(piece);
        for (int i = 0; i < piece.length; i++) {
            piece[i] = Float.isFinite(piece[i]) ? piece[i] : 0;
        }
        return sessions.hearing(number, id).hear(piece, System.nanoTime());
    }

    @PostMapping("/jobs/{number}/desk/{id}/again")
    @ResponseBody
    String again(@PathVariable int number, @PathVariable String id) {
        sessions.find(number, id).startAgain();
        return "ok";
    }

    @PostMapping("/jobs/{number}/desk/{id}/close")
    @ResponseBody
    String close(@PathVariable int number, @PathVariable String id) {
        sessions.close(number, id);
        return "ok";
    }

    @PostMapping("/jobs/{number}/desk/{id}/take")
    @ResponseBody
    @Transactional
    public Row take(@PathVariable int number, @PathVariable String id, @ModelAttribute OccasionForm form) {
        Position position = form.place();
        DeskSession session = sessions.find(number, id);
        DeskSession.Taken taken = session.take();
        SoundReading heard = taken.reading();
        Integer recording = recordings.keep(
                number,
                form.words() + ", " + position.words(),
                taken.sound(),
                session.clock.device(),
                session.simulated);
        Source source = session.simulated ? Source.SIMULATED : Source.RECORDING;
        Reading reading = Analysis.reading(heard, position, session.clock, source, recording);
        ReadingTaken step = form.taken(reading);
        workshop.append(number, workshop.load(number).sequence(), step);
        return row(reading, LayAgain.words(workshop.load(number), position, laid.repeatability()));
    }

    static Row row(@Nullable Reading reading, String again) {
        Show show = new Show();
        return reading == null
                ? new Row("", Show.NOTHING, Show.NOTHING, Show.NOTHING, "", "")
                : new Row(
                        reading.position().name(),
                        show.rate(reading.rateWithClock()),
                        show.amplitude(reading.amplitudeDegrees()),
                        show.beatError(reading.beatErrorMillis()),
                        show.source(reading.source()),
                        again);
    }
}
