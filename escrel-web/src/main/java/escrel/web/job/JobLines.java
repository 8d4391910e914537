package escrel.web.job;

import escrel.core.handover.Stage;
import escrel.core.job.Wait;
import escrel.core.marks.MarkSeen;
import escrel.core.service.Arrival;
import escrel.core.service.CalibreBound;
import escrel.core.service.Corrected;
import escrel.core.service.Noted;
import escrel.core.service.RecordedStep;
import escrel.core.service.Step;
import escrel.core.service.TakenBack;
import escrel.web.format.Texts;
import escrel.web.room.Rooms;
import escrel.web.storage.JobLineMapper;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * What lists, search and learning read of a job: what it waits for, the words by which it is found, what it teaches of its
 * calibre. Written in the transaction of every step, and only what the step has changed.
 */
@Component
class JobLines {
    /** What is said last of a job counts least for finding it. */
    private static final int MOST_WORDS = 2_000;

    /** Kinds of step that say something a job is found by; a binding gives it the name of its calibre. */
    private static final Set<Class<? extends Step>> WORDED =
            Set.of(Arrival.class, Noted.class, CalibreBound.class, MarkSeen.class);

    private static final int AT_ONCE = 500;

    private final JobLineMapper mapper;
    private final Learnt learnt;
    private final LaidDown laid;
    private final SupplyLines supply;
    private final TimeLines times;

    JobLines(JobLineMapper mapper, Learnt learnt, LaidDown laid, SupplyLines supply, TimeLines times) {
        this.times = times;
        this.supply = supply;
        this.mapper = mapper;
        this.learnt = learnt;
        this.laid = laid;
    }

    /** Writes what a step has changed; of a job that has no line yet, nothing is written until it gets one. */
    void write(OpenJob before, OpenJob job) {
        mapper.update(line(job));
        if (touched(before, job, WORDED)) {
            writeWords(before, job);
        }
        if (touched(before, job, Learnt.FROM)) {
            learnt.write(job);
        }
        if (touched(before, job, LaidDown.FROM)) {
            laid.write(job);
        }
        supply.write(before, job);
        times.write(before, job);
    }

    /**
     * A long job says thousands of words: only those of what was said now, or is said no more, are looked at. A job that has
     * its fill gets no further ones.
     */
    private void writeWords(OpenJob before, OpenJob job) {
        SaidOtherwise said = SaidOtherwise.between(texts(before), texts(job));
        inPieces(List.copyOf(said.gone()), some -> mapper.dropWords(job.number(), some));
        if (!said.added().isEmpty()) {
            int room = Math.max(0, MOST_WORDS - mapper.countWords(job.number()));
            List<String> added = said.added().stream().limit(room).toList();
            inPieces(added, some -> mapper.addWords(job.number(), some));
        }
    }

    /** Whether what was recorded since is of one of these kinds, or takes one of them back. */
    private static boolean touched(OpenJob before, OpenJob job, Set<Class<? extends Step>> kinds) {
        List<RecordedStep> all = job.recorded().recorded();
        return all.subList(before.recorded().lastSequence(), all.size()).stream()
                .map(RecordedStep::step)
                .map(step -> taken(step, all))
                .anyMatch(step -> kinds.contains(step.getClass()));
    }

    /** What a taking-back or a correction is about in the end; a step itself when it is neither. */
    private static Step taken(Step step, List<RecordedStep> all) {
        Step taken = step;
        while (taken instanceof TakenBack || taken instanceof Corrected) {
            int about = taken instanceof TakenBack back ? back.sequence() : ((Corrected) taken).sequence();
            taken = all.get(about - 1).step();
        }
        return taken;
    }

    /** Adds all of it for a job that has none. */
    void add(OpenJob job) {
        mapper.insert(line(job));
        wordsAnew(job);
        learnt.add(job);
        laid.write(job);
        supply.add(job);
        times.add(job);
    }

    /** Writes the words anew, as after something that was recorded has been erased. */
    void wordsAnew(OpenJob job) {
        mapper.dropAllWords(job.number());
        inPieces(List.copyOf(words(job)), some -> mapper.addWords(job.number(), some));
    }

    /** All of it is made anew. */
    void clear() {
        mapper.clearLines();
        mapper.clearWords();
        mapper.clearLearnt();
        learnt.forget();
        laid.clear();
        supply.clear();
        times.clear();
    }

    private interface Some {
        void take(List<String> words);
    }

    private static void inPieces(List<String> words, Some taker) {
        for (int from = 0; from < words.size(); from += AT_ONCE) {
            taker.take(words.subList(from, Math.min(words.size(), from + AT_ONCE)));
        }
    }

    private static JobLineMapper.LineRow line(OpenJob job) {
        String waits = Wait.of(job.job()).stream().map(Wait::name).collect(Collectors.joining(" "));
        String open = job.stage() == Stage.HANDED_OVER
                ? ""
                : Rooms.open(job.job()).entrySet().stream()
                        .map(e -> e.getKey() + "\t" + e.getValue())
                        .collect(Collectors.joining("\n"));
        return new JobLineMapper.LineRow(job.number(), waits, open);
    }

    private static Set<String> words(OpenJob job) {
        Set<String> words = new LinkedHashSet<>();
        for (String text : texts(job)) {
            words.addAll(Texts.wordsOf(text));
            if (words.size() >= MOST_WORDS) {
                return words.stream().limit(MOST_WORDS).collect(Collectors.toSet());
            }
        }
        return words;
    }

    /** What is said of a job, what it is called first. */
    private static List<String> texts(OpenJob job) {
        Arrival a = job.arrival();
        List<String> texts = new ArrayList<>(List.of(
                a.watch(),
                a.owner(),
                a.maker(),
                a.reference(),
                a.marks(),
                job.sheet() == null ? "" : job.sheet().name(),
                a.complaint()));
        for (RecordedStep entry : job.history().counting(Noted.class, MarkSeen.class)) {
            if (entry.step() instanceof Noted noted) {
                texts.add(noted.words());
            } else if (entry.step() instanceof MarkSeen mark) {
                texts.add(mark.text());
            }
        }
        return texts;
    }
}
