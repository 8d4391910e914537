package escrel.bench;

import escrel.bench.server.Caller;
import escrel.bench.server.Memory;
import escrel.bench.server.Server;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.simulator.pickup.Room;
import escrel.simulator.pickup.SimulatedPickup;
import escrel.simulator.pickup.Swinging;
import java.io.IOException;
import java.net.http.HttpRequest;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Live sound in the running application, through its own door as the page sends it. {@code lag SECONDS}: pieces of 0.15 s in their own
 * time; from any moment of the sound until the answer whose figures heard it. {@code soak HOURS}: as fast as the application
 * takes it, with what it holds in memory after every hour.
 */
public final class LiveListening {
    private static final int SAMPLE_RATE = 48_000;
    private static final double PIECE_SECONDS = 0.15;
    // what is heard at the beginning of a piece waits for its end
    private static final int MOMENTS = 10;
    // few large pieces at a low rate, so that eight hours take minutes
    private static final int SOAK_RATE = 22_050;
    private static final double SOAK_PIECE_SECONDS = 7.5;
    private static final Pattern NUMBER = Pattern.compile("\"(seconds|listenedTo)\":([0-9.E+-]+)");
    private static final Swinging WATCH = Swinging.steady(BeatRate.of(18_000), LiftAngle.known(50), 4, 270);

    private final Caller caller;
    private final int sampleRate;
    private final SimulatedPickup pickup;
    private String desk = "";

    private LiveListening(Caller caller, int sampleRate) {
        this.caller = caller;
        this.sampleRate = sampleRate;
        this.pickup = new SimulatedPickup(sampleRate, 5);
    }

    /** Arguments: {@code lag} and seconds, or {@code soak} and hours. */
    public static void main(String[] args) throws IOException, InterruptedException {
        Path home = Files.createTempDirectory("escrel-live");
        Server server = Server.start(home, true);
        try {
            String url = server.await(120);
            if (url == null) {
                throw new IOException("the application did not start:\n" + server.said());
            }
            LiveListening listening =
                    new LiveListening(new Caller(url), args[0].equals("soak") ? SOAK_RATE : SAMPLE_RATE);
            listening.open();
            if (args[0].equals("soak")) {
                listening.soak(server, Integer.parseInt(args[1]));
            } else {
                listening.lag(Integer.parseInt(args[1]));
            }
        } finally {
            server.kill();
        }
    }

    private void open() throws IOException, InterruptedException {
        // job 5 of the demo is of 18 000 beats, its sheet says 50°
        String opened = Caller.text(caller.post(
                "/jobs/5/desk/open", Map.of("sampleRate", Integer.toString(sampleRate), "device", "pick-up")));
        Matcher id = Pattern.compile("\"id\":\"([^\"]+)\"").matcher(opened);
        if (!id.find()) {
            throw new IOException("no listening was opened: " + opened);
        }
        desk = "/jobs/5/desk/" + id.group(1) + "/sound";
    }

    private void lag(int seconds) throws IOException, InterruptedException {
        float[] sound = pickup.listen(WATCH, Room.ofDecibels(24), 0, seconds).samples();
        int length = (int) Math.round(PIECE_SECONDS * sampleRate);
        List<Double> lags = new ArrayList<>();
        // pieces not yet heard by any figure, each by the second at which it was complete
        Deque<Double> open = new ArrayDeque<>();
        long begin = System.nanoTime();
        int sent = 0;
        int before = 0;
        while ((sent + 1) * length <= sound.length) {
            sleepUntil(begin, (sent + 1) * PIECE_SECONDS);
            // as the page does: what came while an answer was on its way goes together with the next
            double now = (System.nanoTime() - begin) / 1e9;
            int complete = Math.min(sound.length / length, (int) (now / PIECE_SECONDS + 1e-6));
            for (int piece = sent + 1; piece <= complete; piece++) {
                open.add(piece * PIECE_SECONDS);
            }
            double[] heard = send(Arrays.copyOfRange(sound, sent * length, complete * length));
            sent = complete;
            double answered = (System.nanoTime() - begin) / 1e9;
            if (lags.isEmpty() && heard[1] > 0) {
                // the first seconds are needed before anything is said at all
                before = open.size();
                open.clear();
                open.add(heard[1]);
            }
            while (!open.isEmpty() && open.peek() <= heard[1] + 1e-6) {
                double end = open.remove();
                for (int moment = 0; moment < MOMENTS; moment++) {
                    lags.add(answered - end + PIECE_SECONDS * moment / MOMENTS);
                }
            }
        }
        double[] sorted = lags.stream().mapToDouble(d -> d * 1000).sorted().toArray();
        int count = sorted.length;
        System.out.printf(
                "%d moments of sound, sent in pieces of %.2f s: until the figure that heard it, median %.0f ms, 95 of 100 within %.0f ms, longest %.0f ms"
                        + " (%d pieces before the first figure left aside)%n",
                count, PIECE_SECONDS, sorted[count / 2], sorted[count * 95 / 100], sorted[count - 1], before - 1);
    }

    private static void sleepUntil(long begin, double seconds) throws InterruptedException {
        // never early: a piece that is not complete yet is not sent, and half a request would be
        for (long left = 1; left > 0; ) {
            left = (long) Math.ceil(seconds * 1000 - (System.nanoTime() - begin) / 1e6);
            if (left > 0) {
                Thread.sleep(left);
            }
        }
    }

    private void soak(Server server, int hours) throws IOException, InterruptedException {
        System.out.println("before: " + Memory.of(server));
        long begin = System.nanoTime();
        for (int minute = 0; minute < 60 * hours; minute++) {
            float[] sound =
                    pickup.listen(WATCH, Room.ofDecibels(24), 60.0 * minute, 60).samples();
            int length = (int) Math.round(SOAK_PIECE_SECONDS * sampleRate);
            double[] heard = {0, 0};
            for (int piece = 0; (piece + 1) * length <= sound.length; piece++) {
                heard = send(Arrays.copyOfRange(sound, piece * length, (piece + 1) * length));
            }
            if (minute % 60 == 59) {
                System.out.printf(
                        "after %d h (%.0f s of them since it was laid down, figures up to %.0f s; took %.0f s): %s%n",
                        (minute + 1) / 60, heard[0], heard[1], (System.nanoTime() - begin) / 1e9, Memory.of(server));
            }
        }
    }

    /** Seconds heard, and up to which of them the figures go. */
    private double[] send(float[] piece) throws IOException, InterruptedException {
        ByteBuffer bytes = ByteBuffer.allocate(Float.BYTES * piece.length).order(ByteOrder.LITTLE_ENDIAN);
        bytes.asFloatBuffer().put(piece);
        String answer = Caller.text(caller.send(caller.request(desk)
                .header("Content-Type", "application/octet-stream")
                .POST(HttpRequest.BodyPublishers.ofByteArray(bytes.array()))));
        double[] out = new double[2];
        Matcher numbers = NUMBER.matcher(answer);
        boolean found = false;
        while (numbers.find()) {
            out[numbers.group(1).equals("seconds") ? 0 : 1] = Double.parseDouble(numbers.group(2));
            found = true;
        }
        if (!found) {
            throw new IOException("no answer of the desk: " + answer);
        }
        return out;
    }
}
