package escrel.web.job;

import escrel.core.job.Wait;
import escrel.core.service.Arrival;
import escrel.core.service.Noted;
import escrel.core.service.PartOff;
import escrel.core.service.RecordedStep;
import escrel.web.format.Texts;
import escrel.web.storage.JobLineMapper;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The line of a job in lists: what it waits for, and the words by which it is found. Written with every step. */
@Component
class JobLines {
    /** Longest text of words; what is said last of a job counts least for finding it. */
    private static final int LONGEST = 30_000;

    private static final int LONGEST_ORDER = 59_000;

    private final JobLineMapper mapper;

    JobLines(JobLineMapper mapper) {
        this.mapper = mapper;
    }

    /** Writes the line of a job, over the one it has. */
    void write(OpenJob job) {
        mapper.put(line(job));
    }

    /** Adds the line of a job that has none. */
    void add(OpenJob job) {
        mapper.insert(line(job));
    }

    private static JobLineMapper.LineRow line(OpenJob job) {
        return new JobLineMapper.LineRow(job.number(), waits(job), words(job), taken(job));
    }

    /** Whole codes as long as they fit; nobody takes that many parts off. */
    private static String taken(OpenJob job) {
        StringBuilder codes = new StringBuilder();
        job.history()
                .all(PartOff.class)
                .map(PartOff::part)
                .distinct()
                .takeWhile(code -> codes.length() + code.length() < LONGEST_ORDER)
                .forEach(code -> codes.append(codes.isEmpty() ? "" : "\n").append(code));
        return codes.toString();
    }

    private static String waits(OpenJob job) {
        return Wait.of(job.job()).stream().map(Wait::name).collect(Collectors.joining(" "));
    }

    private static String words(OpenJob job) {
        Arrival a = job.arrival();
        StringBuilder words = new StringBuilder(String.join(
                " \n",
                a.watch(),
                a.owner(),
                a.maker(),
                a.reference(),
                a.marks(),
                job.sheet() == null ? "" : job.sheet().name(),
                a.complaint()));
        for (RecordedStep entry : job.history().counting()) {
            if (entry.step() instanceof Noted noted && words.length() < LONGEST) {
                words.append(" \n").append(noted.words());
            }
        }
        String plain = Texts.searched(words.toString());
        return plain.length() <= LONGEST ? plain : plain.substring(0, LONGEST);
    }
}
