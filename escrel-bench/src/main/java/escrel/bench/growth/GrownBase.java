package escrel.bench.growth;

import escrel.core.handover.Stage;
import escrel.core.service.Noted;
import escrel.core.service.PartOff;
import escrel.core.service.PhotoAdded;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import escrel.core.supply.Came;
import escrel.core.supply.Ordered;
import escrel.web.EscrelApplication;
import escrel.web.job.OpenJob;
import escrel.web.job.Workshop;
import escrel.web.list.ListMapper;
import escrel.web.sound.Recordings;
import escrel.web.storage.Numbers;
import escrel.web.storage.PhotoMapper;
import escrel.web.storage.PhotoMapper.PhotoRow;
import escrel.web.storage.RecordingMapper.RecordingRow;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Makes the folder of a workshop with many jobs, by the application's own code: the demo's jobs over and over, each with the
 * photos and recordings it needs to come to five photos and half a recording a job. As in the demo's workshop, few jobs are in
 * the house at a time; the others are gone. Pictures and sound are kept by content, so their files are those of the demo.
 */
public final class GrownBase {
    /** A file that says that the folder is made, and which job is the large one. */
    static final String MADE = "grown.txt";

    private static final int PHOTOS_A_JOB = 5;
    private static final int AT_ONCE = 25;
    private static final int LARGE_STEPS = 5_000;
    private static final int LARGE_PHOTOS = 300;

    private final Workshop workshop;
    private final PhotoMapper photos;
    private final Numbers numbers;
    private final Recordings recordings;
    private final ListMapper list;
    private final TransactionTemplate transaction;

    private GrownBase(ConfigurableApplicationContext context) {
        workshop = context.getBean(Workshop.class);
        photos = context.getBean(PhotoMapper.class);
        numbers = context.getBean(Numbers.class);
        recordings = context.getBean(Recordings.class);
        list = context.getBean(ListMapper.class);
        transaction = context.getBean(TransactionTemplate.class);
    }

    /**
     * Command line: folder, number of jobs, how many of them are in the house (at least those of the demo). The job of the
     * highest number has 5 000 steps and 300 photos.
     */
    public static void main(String[] args) throws IOException {
        String folder = Path.of(args[0]).toAbsolutePath().toString();
        try (ConfigurableApplicationContext context = EscrelApplication.application()
                .run("--escrel.home=" + folder, "--escrel.demo=true", "--server.port=0", "--logging.level.root=warn")) {
            int large = new GrownBase(context).grow(Integer.parseInt(args[1]), Integer.parseInt(args[2]));
            Files.writeString(Path.of(folder, MADE), Integer.toString(large));
        }
    }

    /** Number of the large job. */
    private int grow(int wanted, int inTheHouse) {
        List<OpenJob> gone = new ArrayList<>();
        List<OpenJob> here = new ArrayList<>();
        for (ListMapper.Line line : list.after(0, 1_000)) {
            OpenJob job = workshop.load(line.number());
            (job.stage() == Stage.HANDED_OVER ? gone : here).add(job);
        }
        int open = here.size();
        int count = open + gone.size();
        while (count < wanted - 1) {
            int from = count;
            int to = Math.min(wanted - 1, count + AT_ONCE);
            int openNow = open;
            transaction.executeWithoutResult(t -> {
                for (int i = from; i < to; i++) {
                    boolean stays = i - from < inTheHouse - openNow && i % 2 == 0;
                    List<OpenJob> those = stays ? here : gone;
                    again(those.get(i % those.size()), i + 1);
                }
            });
            for (int i = from; i < to; i++) {
                open += i - from < inTheHouse - openNow && i % 2 == 0 ? 1 : 0;
            }
            count = to;
        }
        return Objects.requireNonNull(transaction.execute(t -> large(here)));
    }

    /** The same job once more, some days earlier, with photos and recordings of its own. */
    private void again(OpenJob job, int number) {
        Duration earlier = Duration.ofHours(7L * (number % 500));
        List<RecordedStep> steps = new ArrayList<>();
        for (RecordedStep step : job.recorded().recorded()) {
            steps.add(new RecordedStep(step.sequence(), step.at().minus(earlier), step.step()));
        }
        Instant last = steps.get(steps.size() - 1).at();
        int first = photos.all(job.number()).size();
        for (int photo = first + 1; photo <= PHOTOS_A_JOB; photo++) {
            steps.add(new RecordedStep(steps.size() + 1, last, new PhotoAdded(photo, null, "as before")));
        }
        if (number % 3 == 0) {
            ordered(steps, last, number % 6 == 0);
        }
        int made = workshop.keep(0, job.openedAt().toInstant().minus(earlier), steps);
        picturesOf(job, made, PHOTOS_A_JOB);
        if (number % 2 == 0) {
            sound(made);
        }
    }

    /** Something was ordered for every third watch; half of it is here. */
    private static void ordered(List<RecordedStep> steps, Instant at, boolean here) {
        int order = steps.size() + 1;
        LocalDate expected = LocalDate.ofInstant(at, ZoneOffset.UTC).plusDays(10);
        steps.add(new RecordedStep(
                order,
                at,
                new Ordered(
                        Ordered.Kind.PART,
                        null,
                        null,
                        "Strap",
                        "Stennay material store",
                        null,
                        "18 mm",
                        24.0,
                        expected)));
        if (here) {
            steps.add(new RecordedStep(order + 1, at, new Came(order, Came.Judgement.RIGHT, "")));
        }
    }

    private void picturesOf(OpenJob job, int made, int wanted) {
        List<PhotoRow> own = photos.all(job.number());
        List<PhotoRow> rows = own.isEmpty() ? photos.all(1) : own;
        for (int photo = 1; photo <= Math.max(wanted, own.size()); photo++) {
            PhotoRow row = rows.get((photo - 1) % rows.size());
            numbers.taken(Numbers.photo(made), photo);
            photos.insert(
                    made, new PhotoRow(photo, row.mediaType(), row.picture(), row.small(), row.fullPicture(), false));
        }
    }

    private void sound(int made) {
        RecordingRow row = recordings.all(2).get(0);
        recordings.keepPacked(
                made,
                1,
                row.name(),
                recordings.medium(2, row.number()),
                new Recordings.Length(row.sampleRate(), row.seconds()),
                row.device(),
                row.simulated());
    }

    /** A movement taken apart and together for years: parts off and back, words, photos. */
    private int large(List<OpenJob> here) {
        OpenJob job = here.stream()
                .filter(j -> j.sheet() != null && j.stage() == Stage.STRIPPING)
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("the demo has no job on the bench"));
        List<RecordedStep> steps = new ArrayList<>(job.recorded().recorded());
        Instant at = steps.get(steps.size() - 1).at();
        List<String> next = job.job().wayDown().remaining().stream()
                .map(p -> p.code())
                .limit(1)
                .toList();
        int photo = photos.all(job.number()).size();
        while (steps.size() < LARGE_STEPS) {
            at = at.plusSeconds(40);
            int sequence = steps.size() + 1;
            Step step;
            if (steps.get(steps.size() - 1).step() instanceof PartOff) {
                step = new TakenBack(sequence - 1);
            } else if (photo < LARGE_PHOTOS && sequence % 15 == 0) {
                step = new PhotoAdded(++photo, null, "");
            } else if (sequence % 3 == 0 && !next.isEmpty()) {
                step = PartOff.plain(next.get(0));
            } else {
                step = new Noted(null, "seen under the glass, number " + sequence);
            }
            steps.add(new RecordedStep(sequence, at, step));
        }
        int made = workshop.keep(0, job.openedAt().toInstant(), steps);
        picturesOf(job, made, photo);
        return made;
    }
}
