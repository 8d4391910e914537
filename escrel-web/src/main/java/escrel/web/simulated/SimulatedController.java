package escrel.web.simulated;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.WatchClass;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.readings.Position;
import escrel.core.timing.sound.Sound;
import escrel.simulator.pickup.SimulatedPickup;
import escrel.simulator.pickup.Swinging;
import escrel.simulator.watch.SimulatedWatch;
import escrel.web.job.Workshop;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Arrays;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** A simulated watch under a simulated pick-up, for learning and for tests. */
@Controller
class SimulatedController {
    /** Samples a second of the simulated pick-up. */
    static final double SAMPLE_RATE = 44_100;

    private static final double LONGEST_PIECE = 2;

    private final Workshop workshop;

    SimulatedController(Workshop workshop) {
        this.workshop = workshop;
    }

    /** A watch to choose, and what a compass needle does beside it. */
    record Choice(String name, String words, String compass) {}

    @GetMapping(value = "/simulated/watches", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    List<Choice> watches() {
        return Arrays.stream(SimulatedWatch.values())
                .map(w -> new Choice(w.name(), w.words(), w.compass().name()))
                .toList();
    }

    /** Samples as 32-bit floats, little-endian, from one second after it was laid down to another. */
    @GetMapping(value = "/simulated/jobs/{number}/sound", produces = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseBody
    byte[] sound(
            @PathVariable int number,
            @RequestParam SimulatedWatch watch,
            @RequestParam Position position,
            @RequestParam double from,
            @RequestParam double seconds,
            @RequestParam(defaultValue = "0") double hours,
            @RequestParam(defaultValue = "1") long seed) {
        CalibreSheet sheet = workshop.load(number).sheet();
        double crown = sheet != null && sheet.data().watchClass() == WatchClass.POCKET ? 0 : 90;
        Swinging swinging = watch.swinging(
                sheet == null || sheet.data().beatRate() == null
                        ? BeatRate.of(21_600)
                        : sheet.data().beatRate(),
                sheet == null ? LiftAngle.known(52) : sheet.data().liftAngle(),
                position,
                crown,
                Math.max(0, Math.min(60, hours)));
        // one seed for the watch: its six sounds are the same in all positions
        SimulatedPickup pickup = new SimulatedPickup(SAMPLE_RATE, seed);
        Sound piece = pickup.listen(
                swinging, watch.room(), Math.max(0, from), Math.max(0.01, Math.min(LONGEST_PIECE, seconds)));
        double scale = pickup.pieceScale();
        ByteBuffer bytes =
                ByteBuffer.allocate(Float.BYTES * piece.samples().length).order(ByteOrder.LITTLE_ENDIAN);
        for (float x : piece.samples()) {
            bytes.putFloat((float) Math.max(-1, Math.min(1, scale * x)));
        }
        return bytes.array();
    }
}
