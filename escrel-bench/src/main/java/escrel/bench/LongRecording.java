package escrel.bench;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.acoustics.BeatAnalyser;
import escrel.core.timing.acoustics.SoundReading;
import escrel.core.timing.acoustics.Stretches;
import escrel.core.timing.beats.Channels;
import escrel.core.timing.sound.Sound;
import escrel.core.timing.sound.WavStream;
import escrel.simulator.pickup.Room;
import escrel.simulator.pickup.SimulatedPickup;
import escrel.simulator.pickup.Swinging;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.lang.management.ManagementFactory;
import java.lang.management.MemoryType;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * The longest recording that is taken, 30 minutes at 48 kHz, read and analysed with the memory the application ships
 * with, beside one minute of it that is in memory already. Simulated: {@code make FILE}; then {@code read FILE} prints
 * both speeds, in turns since the machine's own speed wanders, and the most memory that was in use.
 */
public final class LongRecording {
    private static final int SAMPLE_RATE = 48_000;
    private static final int MINUTES = 30;
    private static final int ROUNDS = 4;
    private static final double BPH = 28_800;
    private static final LiftAngle LIFT = LiftAngle.known(52);

    private LongRecording() {}

    public static void main(String[] args) throws IOException {
        if (args[0].equals("make")) {
            make(Path.of(args[1]));
        } else {
            read(Path.of(args[1]));
        }
    }

    private static void make(Path file) throws IOException {
        Swinging swinging = Swinging.steady(BeatRate.of(BPH), LIFT, 4, 270);
        SimulatedPickup pickup = new SimulatedPickup(SAMPLE_RATE, 1);
        int bytes = MINUTES * 60 * SAMPLE_RATE * 2;
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
            ByteBuffer head = ByteBuffer.allocate(44).order(ByteOrder.LITTLE_ENDIAN);
            head.put("RIFF".getBytes(StandardCharsets.US_ASCII)).putInt(36 + bytes);
            head.put("WAVEfmt ".getBytes(StandardCharsets.US_ASCII)).putInt(16);
            head.putShort((short) 1).putShort((short) 1).putInt(SAMPLE_RATE).putInt(2 * SAMPLE_RATE);
            head.putShort((short) 2).putShort((short) 16);
            head.put("data".getBytes(StandardCharsets.US_ASCII)).putInt(bytes);
            out.write(head.array());
            for (int minute = 0; minute < MINUTES; minute++) {
                Sound sound = pickup.listen(swinging, Room.ofDecibels(24), 60.0 * minute, 60);
                ByteBuffer samples = ByteBuffer.allocate(2 * 60 * SAMPLE_RATE).order(ByteOrder.LITTLE_ENDIAN);
                for (int i = 0; i < 60 * SAMPLE_RATE; i++) {
                    samples.putShort((short) Math.round(Math.max(-1, Math.min(1, sound.samples()[i])) * 32_767));
                }
                out.write(samples.array());
            }
        }
    }

    private static void read(Path file) throws IOException {
        BeatAnalyser analyser = BeatAnalyser.forBeatRate(BeatRate.of(BPH), LIFT);
        for (int round = 1; round <= ROUNDS; round++) {
            System.out.printf(
                    "round %d: a minute in memory, again and again: %.0f times real time%n",
                    round, minute(analyser, file));
            long begin = System.nanoTime();
            SoundReading reading = whole(analyser, file);
            double took = seconds(begin);
            System.out.printf(
                    "         %.0f s from the file in %.1f s: %.0f times real time; rate %+.2f s/d ± %.3f (truth +4.00),"
                            + " amplitude %.1f° (truth 270)%n",
                    reading.seconds(),
                    took,
                    reading.seconds() / took,
                    reading.rateSecondsPerDay().value(),
                    reading.rateSecondsPerDay().doubt(),
                    reading.amplitudeDegrees().value());
        }
        long peak = ManagementFactory.getMemoryPoolMXBeans().stream()
                .filter(p -> p.getType() == MemoryType.HEAP)
                .mapToLong(p -> p.getPeakUsage().getUsed())
                .sum();
        System.out.printf(
                "most memory in use %d MB of %d MB%n",
                peak >> 20, Runtime.getRuntime().maxMemory() >> 20);
    }

    private static SoundReading whole(BeatAnalyser analyser, Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file);
                WavStream sound = WavStream.open(in, Channels::beating)) {
            return Stretches.analyse(analyser, sound);
        }
    }

    /** How many times real time the first minute of the file is analysed at, as often as the file has minutes. */
    private static double minute(BeatAnalyser analyser, Path file) throws IOException {
        Sound minute;
        try (InputStream in = Files.newInputStream(file);
                WavStream sound = WavStream.open(in, Channels::beating)) {
            minute = sound.next(60);
        }
        long begin = System.nanoTime();
        for (int i = 0; i < MINUTES; i++) {
            analyser.analyse(minute);
        }
        return 60 * MINUTES / seconds(begin);
    }

    private static double seconds(long begin) {
        return (System.nanoTime() - begin) / 1e9;
    }
}
