package escrel.core.assembly;

import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.service.Episode;
import escrel.core.service.JobHistory;
import escrel.core.service.Lives;
import escrel.core.service.OpenItem;
import escrel.core.service.RecordedStep;
import escrel.core.service.RuleBook;
import escrel.core.service.Step;
import escrel.core.service.Tally;
import escrel.core.timing.readings.Demagnetised;
import escrel.core.timing.readings.ReadingTaken;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Which tests are due, made or passed over. A test is due when the part behind it came off, and again when that is lifted
 * again. What asks for a reading is settled by one taken since the movement was closed and before dial, case or calendar
 * went on over it, demagnetising by demagnetising;
 * both are due whenever barrel, train or escapement were opened. Source: craft 9, 2.13, 6.
 */
public final class TestState {
    private final CalibreSheet sheet;
    private final Lives lives;
    private final RuleBook book;
    private final Map<String, TestMade> made = new HashMap<>();
    private final Map<String, Integer> madeAt = new HashMap<>();
    private final List<Integer> readAt = new ArrayList<>();
    private int demagnetisedAt;
    private final int openedAt;
    private final List<AssemblyTest> due;

    private TestState(Lives lives, RuleBook book) {
        this.lives = lives;
        this.sheet = lives.sheet();
        this.book = book;
        this.openedAt = openedAt(lives);
        List<AssemblyTest> all = sheet.climbTests();
        Set<AssemblyTest> own = Set.copyOf(sheet.tests());
        this.due = all.stream().filter(t -> isDue(t, own.contains(t))).toList();
    }

    /** The state after these steps. */
    public static TestState of(Lives lives, JobHistory history) {
        TestState state = new TestState(lives, history.ruleBook());
        for (RecordedStep entry : history.counting(TestMade.class, Demagnetised.class, ReadingTaken.class)) {
            if (entry.step() instanceof TestMade test) {
                state.made.put(test.test(), test);
                state.madeAt.put(test.test(), entry.sequence());
            } else if (entry.step() instanceof Demagnetised) {
                state.demagnetisedAt = entry.sequence();
            } else if (entry.step().effect(lives.sheet()) == Step.Effect.READS_RUNNING) {
                state.readAt.add(entry.sequence());
            }
        }
        return state;
    }

    /** Sequence at which what stops the movement was lifted or refitted last; 0 when it never was. */
    public static int openedAt(Lives lives) {
        int last = 0;
        for (Part part : lives.sheet().homes()) {
            if (part.group().stopsTheMovement()) {
                for (Episode episode : lives.episodesOf(part.code())) {
                    last = Math.max(last, Math.max(episode.offAt(), episode.onAt()));
                }
            }
        }
        return last;
    }

    /** Tests that are due in this job, settled or not, in the order of the sheet. */
    public List<AssemblyTest> due() {
        return due;
    }

    private boolean isDue(AssemblyTest test, boolean own) {
        if (lives.leftOut().containsKey(test.after())) {
            return false;
        }
        return switch (test.proof()) {
            case SEEN, WOUND -> (own || book.dateChangeThrice()) && lives.offAt(test.after()) > 0;
            case READING, DEMAGNETISED -> (own || book.asksForAll()) && openedAt > 0;
        };
    }

    /** Tests that are due and not settled. */
    public List<AssemblyTest> open() {
        return due.stream().filter(t -> !isSettled(t)).toList();
    }

    /** Sequence since which a test is owed. */
    public int owedSince(AssemblyTest test) {
        return switch (test.proof()) {
            case SEEN, WOUND -> lives.offAt(test.after());
            case READING, DEMAGNETISED -> openedAt;
        };
    }

    /** Whether a test was made well, or passed over, since it fell due. */
    public boolean isSettled(AssemblyTest test) {
        int owed = owedSince(test);
        if (test.proof() == AssemblyTest.Proof.READING && wasReadBeforeItWasCovered()) {
            return true;
        }
        if (test.proof() == AssemblyTest.Proof.DEMAGNETISED && demagnetisedAt > owed) {
            return true;
        }
        TestMade last = made.get(test.code());
        boolean byHand = last != null
                && (last.outcome() == TestMade.Outcome.PASSED_OVER
                        || last.outcome() == TestMade.Outcome.PASSED && isByHand(test));
        return byHand && madeAt.getOrDefault(test.code(), 0) > owed;
    }

    /** Read since it was closed, and before anything went on over it: a reading of the cased watch says less. */
    private boolean wasReadBeforeItWasCovered() {
        int covered = Integer.MAX_VALUE;
        for (Part part : sheet.homes()) {
            if (part.group().coversTheRunningMovement()) {
                for (Episode episode : lives.episodesOf(part.code())) {
                    covered = episode.onAt() > openedAt ? Math.min(covered, episode.onAt()) : covered;
                }
            }
        }
        int limit = covered;
        return readAt.stream().anyMatch(at -> at > openedAt && at < limit);
    }

    /** What a key can settle; by the first rule book it could settle a reading too. */
    private boolean isByHand(AssemblyTest test) {
        return test.proof() == AssemblyTest.Proof.SEEN
                || test.proof() == AssemblyTest.Proof.WOUND
                || !book.asksForAll();
    }

    /** Whether the last trial of this test since it fell due failed. */
    public boolean hasFailed(AssemblyTest test) {
        TestMade last = made.get(test.code());
        return last != null
                && last.outcome() == TestMade.Outcome.FAILED
                && madeAt.getOrDefault(test.code(), 0) > owedSince(test);
    }

    /** The account of tests. Where a sheet lists none it says so, instead of a silent zero. */
    public Tally tally() {
        List<OpenItem> open = new ArrayList<>();
        long passedOver = 0;
        for (AssemblyTest test : due) {
            if (!isSettled(test)) {
                TestMade last = made.get(test.code());
                String failed = hasFailed(test) && last != null ? " failed: " + last.words() : "";
                OpenItem.Place where =
                        test.proof() == AssemblyTest.Proof.READING ? OpenItem.Place.READINGS : OpenItem.Place.CLIMB;
                open.add(new OpenItem(
                        "test:" + test.code() + "@" + owedSince(test), test.after(), test.name() + failed, where));
            } else {
                TestMade last = made.get(test.code());
                passedOver += last != null && last.outcome() == TestMade.Outcome.PASSED_OVER ? 1 : 0;
            }
        }
        String settled = sheet.tests().isEmpty()
                ? "%d of the routine made; the sheet lists no test of its own".formatted(due.size() - open.size())
                : "%d passed, %d passed over with a reason"
                        .formatted(due.size() - open.size() - passedOver, passedOver);
        return new Tally(Tally.Kind.TESTS, due.size(), open, settled);
    }
}
