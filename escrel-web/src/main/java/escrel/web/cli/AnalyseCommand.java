package escrel.web.cli;

import escrel.core.MendableException;
import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.acoustics.BeatAnalyser;
import escrel.core.timing.acoustics.SoundReading;
import escrel.core.timing.acoustics.Stretches;
import escrel.core.timing.beats.Channels;
import escrel.core.timing.sound.WavStream;
import escrel.web.storage.Json;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import tools.jackson.databind.node.ObjectNode;

/**
 * {@code ./escrel analyse FILE.wav [--bph N|auto] [--lift-angle DEG] --json}: one JSON object on standard output, exit
 * status 0; or {@code {"error": …}} and exit status 2 when there is no credible beat.
 */
public final class AnalyseCommand {
    private static final String USAGE = "usage: ./escrel analyse FILE.wav [--bph N|auto] [--lift-angle DEG] --json";
    private static final int REFUSED = 2;

    private AnalyseCommand() {}

    /** Runs the command and ends with its status. */
    public static void main(String[] args) {
        Locale.setDefault(Locale.ENGLISH);
        PrintStream out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
        System.exit(run(args, out));
    }

    /** Runs the command and returns its exit status. */
    static int run(String[] args, PrintStream out) {
        ObjectNode answer = Json.MAPPER.createObjectNode();
        int status = 0;
        try {
            fill(answer, args);
        } catch (MendableException e) {
            status = REFUSED;
            answer.removeAll();
            answer.put("error", e.whatHappened() + ". " + e.whatToDo());
        } catch (IOException e) {
            status = REFUSED;
            answer.put("error", "The file could not be read: " + e.getMessage());
        } catch (IllegalArgumentException e) {
            status = REFUSED;
            answer.removeAll();
            answer.put("error", e.getMessage());
        }
        out.println(answer.toPrettyString());
        return status;
    }

    private static void fill(ObjectNode answer, String[] args) throws IOException {
        Path file = null;
        String beats = "auto";
        LiftAngle lift = LiftAngle.ASSUMED_52;
        List<String> words = Arrays.asList(args);
        for (int i = 0; i < words.size(); i++) {
            switch (words.get(i)) {
                case "--bph" -> beats = next(words, i++);
                case "--lift-angle" -> lift = LiftAngle.known(number(next(words, i++)));
                case "--json" -> {}
                default -> {
                    if (words.get(i).startsWith("--")) {
                        throw new IllegalArgumentException(words.get(i) + " is not known; " + USAGE);
                    }
                    file = Path.of(words.get(i));
                }
            }
        }
        if (file == null) {
            throw new IllegalArgumentException(USAGE);
        }
        BeatAnalyser analyser = beats.equals("auto")
                ? BeatAnalyser.recognising(lift)
                : BeatAnalyser.forBeatRate(BeatRate.of(number(beats)), lift);
        try (WavStream sound = WavStream.open(Files.newInputStream(file), Channels::beating)) {
            write(answer, Stretches.analyse(analyser, sound));
        }
    }

    private static String next(List<String> words, int at) {
        if (at + 1 >= words.size()) {
            throw new IllegalArgumentException(words.get(at) + " wants a value; " + USAGE);
        }
        return words.get(at + 1);
    }

    private static double number(String text) {
        try {
            return Double.parseDouble(text);
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("“" + text + "” is no number; " + USAGE);
        }
    }

    private static void write(ObjectNode answer, SoundReading r) {
        answer.put("beatsPerHour", r.beatRate().beatsPerHour());
        answer.put("recognition", r.recognition());
        answer.put("rateSecondsPerDay", r.rateSecondsPerDay().value());
        answer.put("rateStandardError", r.rateSecondsPerDay().doubt());
        answer.put("amplitudeDegrees", r.amplitudeDegrees().value());
        answer.put("amplitudeStandardError", r.amplitudeDegrees().doubt());
        answer.put("beatErrorMillis", r.beatErrorMillis().value());
        answer.put("beatErrorStandardError", r.beatErrorMillis().doubt());
        answer.put("liftAngleDegrees", r.liftAngle().degrees());
        answer.put("liftAngleAssumed", r.liftAngle().assumed());
        answer.put("liftTimeMillis", r.lift().liftMillis().value());
        answer.put("beatsDetected", r.beatsDetected());
        answer.put("beatsMissed", r.beatsMissed());
        answer.put("beatsRejected", r.beatsRejected());
        answer.put("signalToNoiseDecibels", r.signalToNoiseDecibels());
        answer.put("seconds", r.seconds());
        r.doubts().forEach(answer.putArray("doubts")::add);
        r.remarks().forEach(answer.putArray("remarks")::add);
    }
}
