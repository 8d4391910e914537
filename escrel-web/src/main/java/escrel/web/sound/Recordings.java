package escrel.web.sound;

import escrel.core.MendableException;
import escrel.core.timing.acoustics.BeatAnalyser;
import escrel.core.timing.acoustics.SoundReading;
import escrel.core.timing.acoustics.Stretches;
import escrel.core.timing.beats.Channels;
import escrel.core.timing.sound.Sound;
import escrel.core.timing.sound.WavFile;
import escrel.core.timing.sound.WavStream;
import escrel.web.media.MediaStore;
import escrel.web.storage.Numbers;
import escrel.web.storage.RecordingMapper;
import escrel.web.storage.RecordingMapper.RecordingRow;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.zip.Deflater;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The recordings kept with a job: WAV files, compressed without loss. */
@Component
public class Recordings {
    private static final int LONGEST_NAME = 200;

    private final RecordingMapper recordings;
    private final MediaStore media;
    private final Numbers numbers;
    private final Clock clock;

    Recordings(RecordingMapper recordings, MediaStore media, Numbers numbers, Clock clock) {
        this.recordings = recordings;
        this.media = media;
        this.numbers = numbers;
        this.clock = clock;
    }

    /**
     * Keeps a WAV file as it came and returns its number within the job.
     *
     * @param wav read to its end
     */
    @Transactional
    public int keep(int job, String name, InputStream wav, Length length, String device, boolean simulated) {
        return keepPacked(job, numbers.next(Numbers.recording(job)), name, packed(wav), length, device, simulated);
    }

    /** Keeps a recording whose packed sound is in the media store, under a number of its own. */
    @Transactional
    public int keepPacked(
            int job, int number, String name, String medium, Length length, String device, boolean simulated) {
        numbers.taken(Numbers.recording(job), number);
        RecordingRow row = new RecordingRow(
                number,
                name.length() <= LONGEST_NAME ? name : name.substring(0, LONGEST_NAME),
                length.sampleRate(),
                length.seconds(),
                device,
                simulated,
                OffsetDateTime.now(clock));
        recordings.insert(job, row, medium);
        return number;
    }

    /** How long a recording is, and how finely sampled. */
    public record Length(double sampleRate, double seconds) {
        /** Of a file, read through to its end. */
        public static Length of(InputStream wav) {
            try (WavStream stream = WavStream.open(wav)) {
                while (!stream.isAtEnd()) {
                    stream.next(10);
                }
                return new Length(stream.sampleRate(), stream.seconds());
            }
        }
    }

    /** Keeps heard sound as a 16-bit WAV file and returns its number within the job. */
    @Transactional
    public int keep(int job, String name, Sound sound, String device, boolean simulated) {
        ByteArrayOutputStream wav = new ByteArrayOutputStream();
        try {
            WavFile.write(sound, wav);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        Length length = new Length(sound.sampleRate(), sound.seconds());
        return keep(job, name, new ByteArrayInputStream(wav.toByteArray()), length, device, simulated);
    }

    /** All recordings of a job, without their sound. */
    public List<RecordingRow> all(int job) {
        return recordings.all(job);
    }

    /** One of them. */
    public RecordingRow row(int job, int number) {
        return recordings.find(job, number).orElseThrow(() -> missing(number));
    }

    /** Name of the medium that holds its sound, packed. */
    public String medium(int job, int number) {
        return recordings.body(job, number).orElseThrow(() -> missing(number));
    }

    /** The WAV file as it was kept. */
    public InputStream wav(int job, int number) {
        return unpacked(medium(job, number));
    }

    private InputStream unpacked(String medium) {
        try {
            return new GZIPInputStream(media.open(medium), 1 << 16);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Length of a packed recording, read through to its end. */
    public Length lengthOf(String medium) {
        return Length.of(unpacked(medium));
    }

    /** What an analyser hears in a recording, unpacked and read stretch by stretch. */
    public SoundReading listen(int job, int number, BeatAnalyser analyser) {
        try (WavStream sound = WavStream.open(wav(job, number), Channels::beating)) {
            return Stretches.analyse(analyser, sound);
        }
    }

    /** Packs a WAV file into the media store and returns the name it has there. */
    public String packed(InputStream wav) {
        try {
            Path made = media.arriving();
            try {
                try (OutputStream zip = new Quickly(Files.newOutputStream(made))) {
                    wav.transferTo(zip);
                }
                return media.keepArrived(made);
            } finally {
                Files.deleteIfExists(made);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static MendableException missing(int number) {
        return new MendableException(
                "Recording " + number + " is not kept with this job",
                "Nothing was changed.",
                "Choose one from the list of recordings on the readings page.");
    }

    /** Packed as quickly as can be: sound is mostly noise, and packing it thrice as long makes it a hundredth smaller. */
    private static final class Quickly extends GZIPOutputStream {
        Quickly(OutputStream out) throws IOException {
            super(out, 1 << 16);
            def.setLevel(Deflater.BEST_SPEED);
        }
    }
}
