package escrel.bench;

import escrel.core.quantity.BeatRate;
import escrel.core.quantity.LiftAngle;
import escrel.core.timing.acoustics.BeatAnalyser;
import escrel.core.timing.acoustics.SoundReading;
import escrel.core.timing.acoustics.Stretches;
import escrel.core.timing.beats.Channels;
import escrel.core.timing.sound.Sound;
import escrel.core.timing.sound.WavFile;
import escrel.core.timing.sound.WavStream;
import escrel.simulator.pickup.Room;
import escrel.simulator.pickup.SimulatedPickup;
import escrel.simulator.pickup.Swinging;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;

/**
 * Seconds of 48 kHz sound analysed per second on one core: the score is the multiple of real time.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.Throughput)
@OutputTimeUnit(TimeUnit.SECONDS)
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 5, time = 3)
@Fork(1)
public class AnalysisBenchmark {
    private static final int SECONDS = 60;

    private Sound sound;
    private Path file;
    private BeatAnalyser analyser;

    /** A minute of a 28 800 bph movement in a moderately noisy room. */
    @Setup
    public void listen() throws IOException {
        Swinging swinging = Swinging.steady(BeatRate.of(28_800), LiftAngle.known(52), 4, 270);
        sound = new SimulatedPickup(48_000, 1).listen(swinging, Room.ofDecibels(24), SECONDS);
        analyser = BeatAnalyser.forBeatRate(BeatRate.of(28_800), LiftAngle.known(52));
        file = Files.createTempFile("escrel-minute", ".wav");
        try (OutputStream out = Files.newOutputStream(file)) {
            WavFile.write(sound, out);
        }
    }

    /** The file goes again. */
    @TearDown
    public void tidy() throws IOException {
        Files.deleteIfExists(file);
    }

    /** One minute analysed; counted as the seconds it lasts. */
    @Benchmark
    @OperationsPerInvocation(SECONDS)
    public SoundReading timesRealTime() {
        return analyser.analyse(sound);
    }

    /** The same minute read from its file and analysed, as the readings page does. */
    @Benchmark
    @OperationsPerInvocation(SECONDS)
    public SoundReading fromItsFile() throws IOException {
        try (InputStream in = Files.newInputStream(file);
                WavStream stream = WavStream.open(in, Channels::beating)) {
            return Stretches.analyse(analyser, stream);
        }
    }
}
