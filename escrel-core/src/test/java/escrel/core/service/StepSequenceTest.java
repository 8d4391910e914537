package escrel.core.service;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

/** What counts, told here from the last step to the first, one by one; and that going on from a known part says the same. */
class StepSequenceTest {
    private static final int MOST = 60;

    private static List<RecordedStep> random(Random random) {
        List<RecordedStep> steps = new ArrayList<>();
        int count = random.nextInt(1, MOST);
        boolean corrections = random.nextInt(3) == 0;
        for (int sequence = 1; sequence <= count; sequence++) {
            int earlier = sequence == 1 ? 0 : random.nextInt(1, sequence);
            Step step = new Noted(null, "note " + sequence);
            if (earlier > 0 && random.nextInt(3) == 0) {
                step = new TakenBack(earlier);
            } else if (random.nextInt(3) == 0) {
                step = PartOff.plain("part-" + sequence);
            } else if (corrections && earlier > 0 && steps.get(earlier - 1).step() instanceof Noted) {
                step = new Corrected(earlier, new Noted(null, "otherwise " + sequence));
            }
            steps.add(new RecordedStep(sequence, Instant.EPOCH.plusSeconds(sequence), step));
        }
        return steps;
    }

    /** Straight from the rule: whether something that counts takes it back. */
    private static boolean stands(List<RecordedStep> steps, int sequence) {
        return steps.stream()
                .filter(e -> e.step() instanceof TakenBack back && back.sequence() == sequence)
                .noneMatch(e -> stands(steps, e.sequence()));
    }

    private static List<String> countingByRule(List<RecordedStep> steps) {
        return steps.stream()
                .filter(e -> !(e.step() instanceof TakenBack) && stands(steps, e.sequence()))
                .map(e -> e.sequence() + " " + readBy(steps, e))
                .toList();
    }

    private static Step readBy(List<RecordedStep> steps, RecordedStep entry) {
        Optional<Step> otherwise = steps.stream()
                .filter(c -> c.step() instanceof Corrected how
                        && how.sequence() == entry.sequence()
                        && stands(steps, c.sequence()))
                .map(c -> ((Corrected) c.step()).step())
                .reduce((earlier, later) -> later);
        return otherwise.orElse(entry.step());
    }

    private static List<String> said(List<RecordedStep> entries) {
        return entries.stream().map(e -> e.sequence() + " " + e.step()).toList();
    }

    @RepeatedTest(60)
    void goingOnSaysWhatTheWholeSays(RepetitionInfo repetition) {
        Random random = new Random(4_100 + repetition.getCurrentRepetition());
        List<RecordedStep> steps = random(random);
        StepSequence grown = StepSequence.of(List.of());
        int done = 0;
        while (done < steps.size()) {
            int next = Math.min(steps.size(), done + random.nextInt(1, 4));
            grown = grown.and(steps.subList(done, next));
            done = next;
            List<RecordedStep> now = steps.subList(0, done);
            assertThat(said(grown.counting())).isEqualTo(countingByRule(now));
            assertThat(said(StepSequence.of(now).counting())).isEqualTo(countingByRule(now));
            assertThat(grown.recorded()).isEqualTo(now);
            if (random.nextBoolean()) {
                // asked on the way, so that what is kept by kind has to be carried on as well
                assertThat(said(grown.counting(Noted.class)))
                        .isEqualTo(said(grown.counting().stream()
                                .filter(e -> e.step() instanceof Noted)
                                .toList()));
            }
            assertThat(said(grown.counting(PartOff.class, Noted.class, Corrected.class)))
                    .isEqualTo(said(grown.counting()));
            StepSequence asked = grown;
            assertThat(now)
                    .allSatisfy(e -> assertThat(asked.counts(e.sequence()))
                            .isEqualTo(!(e.step() instanceof TakenBack) && stands(now, e.sequence())));
        }
    }

    @Test
    void whatIsGoneOnFromStaysAsItWas() {
        List<RecordedStep> steps = List.of(
                new RecordedStep(1, Instant.EPOCH, new Noted(null, "one")),
                new RecordedStep(2, Instant.EPOCH, new Noted(null, "two")));
        StepSequence before = StepSequence.of(steps);
        assertThat(before.counting(Noted.class)).hasSize(2);

        StepSequence after = before.and(List.of(new RecordedStep(3, Instant.EPOCH, new TakenBack(1))));

        assertThat(after.counting(Noted.class))
                .extracting(RecordedStep::sequence)
                .containsExactly(2);
        assertThat(before.counting(Noted.class))
                .extracting(RecordedStep::sequence)
                .containsExactly(1, 2);
        assertThat(before.recorded()).hasSize(2);
    }

    @Test
    void goingOnRefusesWhatTheWholeRefuses() {
        StepSequence one = StepSequence.of(List.of(new RecordedStep(1, Instant.EPOCH, new Noted(null, "one"))));

        assertThatIllegalArgumentException()
                .isThrownBy(() -> one.and(List.of(new RecordedStep(3, Instant.EPOCH, new Noted(null, "three")))))
                .withMessageContaining("step 2 is missing");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> one.and(List.of(new RecordedStep(2, Instant.EPOCH, new TakenBack(2)))))
                .withMessageContaining("does not come before it");
        assertThatIllegalArgumentException()
                .isThrownBy(() ->
                        one.and(List.of(new RecordedStep(2, Instant.EPOCH, new Corrected(1, PartOff.plain("wheel"))))))
                .withMessageContaining("of another kind");
    }

    @Test
    void nothingCountsThatIsNotThere() {
        StepSequence one = StepSequence.of(List.of(new RecordedStep(1, Instant.EPOCH, new Noted(null, "one"))));

        assertThat(one.counts(0)).isFalse();
        assertThat(one.counts(1)).isTrue();
        assertThat(one.counts(2)).isFalse();
    }
}
