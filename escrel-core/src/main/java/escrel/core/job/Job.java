package escrel.core.job;

import escrel.core.assembly.AssemblyPlan;
import escrel.core.assembly.TestState;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.cleaning.CleaningState;
import escrel.core.cleaning.Epilame;
import escrel.core.cleaning.Looks;
import escrel.core.handover.Account;
import escrel.core.handover.Accounts;
import escrel.core.handover.Stage;
import escrel.core.lubrication.LubricationState;
import escrel.core.lume.Lume;
import escrel.core.marks.Marks;
import escrel.core.owner.Claim;
import escrel.core.parts.Copies;
import escrel.core.parts.EarlierWork;
import escrel.core.parts.Findings;
import escrel.core.parts.ScrewAccount;
import escrel.core.parts.Searches;
import escrel.core.parts.Suspicions;
import escrel.core.parts.Tray;
import escrel.core.regulation.Interventions;
import escrel.core.school.Schools;
import escrel.core.service.JobHistory;
import escrel.core.service.Lives;
import escrel.core.service.Tally;
import escrel.core.supply.Supply;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
import escrel.core.timing.comparison.RunIn;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.triage.Triage;
import escrel.core.watchcase.CaseSheet;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * One job: what was recorded of it, the movement as it knows it, the schools that hold for it, and every state worked out
 * from these once and kept. Immutable; a further step makes another job.
 */
public final class Job extends JobBasis {
    private final Lazy<Lives> lives = new Lazy<>(() -> Lives.of(movement(), history()));
    private final Lazy<TeardownState> teardown = new Lazy<>(() -> TeardownState.of(lives()));
    private final Lazy<TeardownOrder> wayDown = new Lazy<>(() -> TeardownOrder.from(teardown(), down()));
    private final Lazy<Findings> findings = new Lazy<>(() -> Findings.of(lives(), history()));
    private final Lazy<ScrewAccount> screws = new Lazy<>(() -> ScrewAccount.of(teardown(), findings()));
    private final Lazy<Supply> supply = new Lazy<>(() -> Supply.of(history(), findings(), movement()));
    private final Lazy<Searches> searches = new Lazy<>(() -> Searches.of(lives(), history(), findings()));
    private final Lazy<CleaningState> cleaning = new Lazy<>(() -> CleaningState.of(lives(), history(), findings()));
    private final Lazy<Looks> looks = new Lazy<>(() -> Looks.of(lives(), history(), cleaning()));
    private final Lazy<LubricationState> lubrication = new Lazy<>(() -> LubricationState.of(lives(), history()));
    private final Lazy<TestState> tests = new Lazy<>(() -> TestState.of(lives(), history()));
    private final Lazy<AssemblyPlan> wayUp =
            new Lazy<>(() -> AssemblyPlan.from(lives(), up(), schools(), searches(), lubrication(), tests()));
    private final Lazy<List<Account>> accounts = new Lazy<>(
            () -> Accounts.of(history(), tallies(), sequence -> upTo(sequence).tallies()));
    private final Lazy<List<ReadingSet>> readings = new Lazy<>(() -> ReadingSet.of(history()));
    private final Lazy<Stage> stage = new Lazy<>(() -> StageOf.job(this));
    private final Lazy<List<Interventions.Intervention>> interventions =
            new Lazy<>(() -> Interventions.of(history(), lives(), copies()));

    private Job(
            JobHistory recorded,
            @Nullable CalibreSheet bound,
            @Nullable CaseSheet watchcase,
            Schools schools,
            @Nullable Job before) {
        super(recorded, bound, watchcase, schools, before);
    }

    /**
     * A job.
     *
     * @param recorded what is on record, as it was recorded
     * @param bound the sheet it is bound to; nothing while the calibre is unknown
     * @param schools of the workshop for this calibre; what the job itself chose goes before
     */
    public static Job of(JobHistory recorded, @Nullable CalibreSheet bound, Schools schools) {
        return of(recorded, bound, null, schools);
    }

    /**
     * A job.
     *
     * @param watchcase the sheet of the watch's case; nothing while that is unknown
     */
    public static Job of(
            JobHistory recorded, @Nullable CalibreSheet bound, @Nullable CaseSheet watchcase, Schools schools) {
        return of(recorded, bound, watchcase, schools, null);
    }

    /**
     * A job that goes on.
     *
     * @param before the job as it was made last, from which what has not changed is taken over; nothing where there is none
     */
    public static Job of(
            JobHistory recorded,
            @Nullable CalibreSheet bound,
            @Nullable CaseSheet watchcase,
            Schools schools,
            @Nullable Job before) {
        return new Job(recorded, bound, watchcase, schools, before);
    }

    /** What each concept counts, in the order in which the accounts are shown. Source: M17. */
    public List<Tally> tallies() {
        return Tallies.of(this);
    }

    /** This job as it stood right after a step. */
    public Job upTo(int sequence) {
        return having(recorded().upTo(sequence));
    }

    /** The same watch under the same schools with something else on record. */
    public Job having(JobHistory otherRecord) {
        return new Job(otherRecord, sheet(), caseSheet(), habits(), this);
    }

    /** Each part's episodes, and the rounds. */
    public Lives lives() {
        return lives.get();
    }

    /** What is off and on in the present round. */
    public TeardownState teardown() {
        return teardown.get();
    }

    /** The way down from here. */
    public TeardownOrder wayDown() {
        return wayDown.get();
    }

    /** The way in to one part from here. */
    public TeardownOrder wayIn(String target) {
        return TeardownOrder.wayIn(teardown(), down(), target);
    }

    /** The way up from here. */
    public AssemblyPlan wayUp() {
        return wayUp.get();
    }

    /** Findings and decisions. */
    public Findings findings() {
        return findings.get();
    }

    /** What it wants from elsewhere. */
    public Supply supply() {
        return supply.get();
    }

    /** Which copy sits in each home. */
    public Copies copies() {
        return findings().copies();
    }

    /** The screws of every part. */
    public ScrewAccount screws() {
        return screws.get();
    }

    /** What is and was suspected. */
    public Suspicions suspicions() {
        return searches().suspicions();
    }

    /** What the screws tell of who was there before. */
    public List<EarlierWork.Line> earlierWork() {
        return EarlierWork.of(lives());
    }

    /** What the owner says was done before, held against what was seen; nothing while nothing was claimed. */
    public Optional<Claim> claim() {
        return Claim.of(history(), earlierWork(), findings(), movement());
    }

    /** Where each part lies. */
    public Tray tray() {
        return Tray.of(teardown(), schools(), screws());
    }

    /** Parts searched for, fragments unexplained. */
    public Searches searches() {
        return searches.get();
    }

    /** Rinses and looks. */
    public CleaningState cleaning() {
        return cleaning.get();
    }

    /** What is to be washed now, and how dirty it is. */
    public WashNow wash() {
        return WashNow.of(this);
    }

    /** Epilame, by the schools of this job. */
    public Epilame epilame() {
        return Epilame.of(lives(), history(), cleaning(), schools());
    }

    /** What the first checks and everything else recorded add up to. */
    public Triage triage() {
        return Triage.of(new Triage.Facts(history(), findings(), lume(), marks(), movement(), sheet() != null));
    }

    /** The luminous paint of the watch. */
    public Lume lume() {
        return Lume.of(
                history(),
                code -> movement()
                        .part(code)
                        .filter(p -> p.group() == Group.DIAL_AND_HANDS)
                        .isPresent());
    }

    /** The marks read on the watch, held against each other. */
    public Marks marks() {
        return Marks.of(history(), movement(), sheet());
    }

    /** What each part looked like, dirty and clean. */
    public Looks looks() {
        return looks.get();
    }

    /** Lubrication points. */
    public LubricationState lubrication() {
        return lubrication.get();
    }

    /** Tests of the way up. */
    public TestState tests() {
        return tests.get();
    }

    /** The accounts with what was waived. */
    public List<Account> accounts() {
        return accounts.get();
    }

    /** Whether nothing stands in the way of handing over. */
    public boolean mayLeave() {
        return Accounts.mayLeave(accounts());
    }

    /** The sets of readings. */
    public List<ReadingSet> readings() {
        return readings.get();
    }

    /** Whether something was done to the watch since a set was taken: what is read now is another set. */
    public boolean isPast(ReadingSet set) {
        return lives().lastMovedAt() > set.lastAt() || interventions().stream().anyMatch(i -> i.at() > set.lastAt());
    }

    /** What lay between the sets of readings. */
    public List<Interventions.Intervention> interventions() {
        return interventions.get();
    }

    /** Sequence at which what stops the movement was lifted or refitted last: run-in clocks start after it. */
    public int closedAt() {
        return TestState.openedAt(lives());
    }

    /** The clock of the next reading; nothing when none runs. */
    public Optional<RunIn.Due> nextReading() {
        return stage() == Stage.HANDED_OVER ? Optional.empty() : RunIn.nextDue(history(), closedAt());
    }

    /** How far it has come. */
    public Stage stage() {
        return stage.get();
    }

    /** The next sensible act, in a few words. */
    public String nextAct() {
        return NextAct.of(this);
    }

    /** Works out every state there is, for the sake of finding out that it can be. */
    public void rehearse() {
        lives();
        teardown();
        wayDown().remaining();
        wayUp();
        findings();
        copies();
        supply();
        searches();
        cleaning();
        lubrication();
        tests();
        accounts();
        readings();
        interventions();
        nextReading();
        stage();
        nextAct();
        history().counting().forEach(entry -> StepRegister.words(entry.step(), movement()));
    }
}
