package escrel.bench;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.acoustics.BeatAnalyser;
import escrel.core.timing.acoustics.SoundReading;
import escrel.core.timing.acoustics.Stretches;
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
 * with. Simulated: {@code make FILE}; then {@code read FILE} prints the speed and the most memory that was in use.
 */
public final class LongRecording {
    private static final int SAMPLE_RATE = 48_000;
    private static final int MINUTES = 30;
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
        long begin = System.nanoTime();
        SoundReading reading;
        try (InputStream in = Files.newInputStream(file);
                WavStream sound = WavStream.open(in)) {
            reading = Stretches.analyse(BeatAnalyser.forBeatRate(BeatRate.of(BPH), LIFT), sound);
        }
        double took = (System.nanoTime() - begin) / 1e9;
        long peak = ManagementFactory.getMemoryPoolMXBeans().stream()
                .filter(p -> p.getType() == MemoryType.HEAP)
                .mapToLong(p -> p.getPeakUsage().getUsed())
                .sum();
        System.out.printf(
                "%.0f s of sound in %.1f s: %.0f times real time%n", reading.seconds(), took, reading.seconds() / took);
        System.out.printf(
                "most memory in use %d MB of %d MB; rate %+.2f s/d ± %.3f (truth +4.00), amplitude %.1f° (truth 270)%n",
                peak >> 20,
                Runtime.getRuntime().maxMemory() >> 20,
                reading.rateSecondsPerDay().value(),
                reading.rateSecondsPerDay().doubt(),
                reading.amplitudeDegrees().value());
    }
}
