package escrel.web.devices;

import escrel.core.MendableException;
import escrel.core.quantity.LiftAngle;
import escrel.core.quantity.Measured;
import escrel.core.service.RecordedStep;
import escrel.core.service.TakenBack;
import escrel.core.timing.acoustics.PulseSignal;
import escrel.core.timing.readings.DeviceClock;
import escrel.core.timing.sound.Sound;
import escrel.core.timing.sound.WavFile;
import escrel.core.workshop.WorkshopLog;
import escrel.web.chart.HandWords;
import escrel.web.job.LaidDown;
import escrel.web.sound.Analysis;
import escrel.web.sound.Devices;
import escrel.web.storage.WorkshopLogs;
import java.io.IOException;
import java.io.InputStream;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Calibrates the clock of a sound device against a reference. */
@Controller
class DevicesController {
    /** What it is compared with. */
    enum Reference {
        /** One pulse a second: a quartz clock, a time signal. */
        PULSES,
        /** A watch whose rate is known from days of comparison. */
        WATCH
    }

    private static final double LARGEST_PPM = 2_000;

    private static final int MOST_ACTS = 40;

    /** An act of the log as it is listed. */
    record Act(int sequence, Instant at, String words, boolean counts) {}

    private final Devices devices;
    private final WorkshopLogs log;
    private final LaidDown laid;

    DevicesController(Devices devices, WorkshopLogs log, LaidDown laid) {
        this.laid = laid;
        this.devices = devices;
        this.log = log;
    }

    @GetMapping("/devices")
    String devices(Model model) {
        model.addAttribute("devices", devices.all());
        model.addAttribute("hand", HandWords.lines(laid.repeatability()));
        model.addAttribute("acts", acts(log.load()));
        return "devices/devices";
    }

    /** The newest first; that something was taken back is told by the entry itself. */
    private static List<Act> acts(WorkshopLog log) {
        return log.acts().recorded().stream()
                .filter(e -> !(e.step() instanceof TakenBack))
                .sorted(Comparator.comparingInt(RecordedStep::sequence).reversed())
                .limit(MOST_ACTS)
                .map(e -> new Act(
                        e.sequence(),
                        e.at(),
                        log.words(e),
                        log.acts().revocable(e.sequence()).isPresent()))
                .toList();
    }

    @PostMapping("/devices/acts/{sequence}/back")
    String takeBack(@PathVariable int sequence, RedirectAttributes flash) {
        flash.addFlashAttribute("said", "Taken back: " + log.takeBack(sequence));
        return "redirect:/devices";
    }

    @PostMapping("/devices/measured")
    String measured(
            @RequestParam String device,
            @RequestParam Reference reference,
            @RequestParam(defaultValue = "0") double trueRate,
            @RequestParam(defaultValue = "0") double trueDoubt,
            @RequestParam MultipartFile sound,
            RedirectAttributes flash)
            throws IOException {
        Sound heard;
        try (InputStream in = sound.getInputStream()) {
            heard = WavFile.read(in);
        }
        Measured rate = reference == Reference.PULSES
                ? PulseSignal.rate(heard, 1)
                : Analysis.analyser(null, LiftAngle.ASSUMED_52).analyse(heard).rateSecondsPerDay();
        DeviceClock clock = DeviceClock.fromReference(
                requireName(device), rate, Measured.withStandardError(trueRate, Math.abs(trueDoubt)));
        String words = (reference == Reference.PULSES ? "one pulse a second" : "a watch of known rate")
                + ", %.0f s, heard at %+.2f ± %.2f s/d, truly %+.2f ± %.2f"
                        .formatted(heard.seconds(), rate.value(), rate.doubt(), trueRate, Math.abs(trueDoubt));
        return keep(clock, words.replace('-', '−'), flash);
    }

    @PostMapping("/devices/typed")
    String typed(
            @RequestParam String device,
            @RequestParam double ppm,
            @RequestParam double doubtPpm,
            RedirectAttributes flash) {
        return keep(new DeviceClock(requireName(device), ppm, Math.abs(doubtPpm)), "typed", flash);
    }

    @PostMapping("/devices/forget")
    String forget(@RequestParam String device) {
        devices.forget(device);
        return "redirect:/devices";
    }

    private String keep(DeviceClock clock, String words, RedirectAttributes flash) {
        Double doubt = clock.doubtPpm();
        if (doubt == null || !(doubt <= LARGEST_PPM)) {
            throw new MendableException(
                    "A doubt of that size is no doubt that can be stated",
                    "The calibration before this one still holds.",
                    "State the doubt in millionths, at most 2000.");
        }
        if (!(Math.abs(clock.ppm()) <= LARGEST_PPM)) {
            throw new MendableException(
                    "A clock that is %.0f ppm off is not credible".formatted(clock.ppm()),
                    "The calibration before this one still holds.",
                    "Check the reference and its true rate, and record again.");
        }
        devices.keep(clock, words);
        flash.addFlashAttribute(
                "said",
                "The clock of “%s” runs %.1f ± %.1f ppm %s; from now on its rates are corrected by %s s/d."
                        .formatted(
                                clock.device(),
                                Math.abs(clock.ppm()),
                                clock.doubtPpm(),
                                clock.ppm() < 0 ? "slow" : "fast",
                                "%+.2f".formatted(0.0864 * clock.ppm()).replace('-', '−')));
        return "redirect:/devices";
    }

    private static String requireName(String device) {
        if (device.isBlank()) {
            throw new MendableException(
                    "No device was named",
                    "Nothing was changed.",
                    "Name it as the sound desk shows it, so that it is known again.");
        }
        return device.strip();
    }
}
