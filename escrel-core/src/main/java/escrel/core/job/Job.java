package escrel.core.job;

import escrel.core.assembly.AssemblyPlan;
import escrel.core.assembly.TestState;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Group;
import escrel.core.calibre.VariantSheet;
import escrel.core.cleaning.CleaningState;
import escrel.core.cleaning.Epilame;
import escrel.core.cleaning.Looks;
import escrel.core.handover.Account;
import escrel.core.handover.Accounts;
import escrel.core.handover.Stage;
import escrel.core.learning.LearntSheet;
import escrel.core.lubrication.LubricationState;
import escrel.core.lume.Lume;
import escrel.core.marks.Marks;
import escrel.core.order.Rules;
import escrel.core.owner.Claim;
import escrel.core.parts.Copies;
import escrel.core.parts.EarlierWork;
import escrel.core.parts.Findings;
import escrel.core.parts.Homes;
import escrel.core.parts.ScrewAccount;
import escrel.core.parts.Searches;
import escrel.core.parts.Suspicions;
import escrel.core.parts.Tray;
import escrel.core.regulation.Interventions;
import escrel.core.school.Schools;
import escrel.core.service.CalibreBound;
import escrel.core.service.JobHistory;
import escrel.core.service.Lives;
import escrel.core.service.SchoolChosen;
import escrel.core.service.SchoolSetAside;
import escrel.core.service.Tally;
import escrel.core.service.WorkAgreed;
import escrel.core.supply.Supply;
import escrel.core.teardown.TeardownOrder;
import escrel.core.teardown.TeardownState;
import escrel.core.timing.comparison.ReadingsDue;
import escrel.core.timing.comparison.RunIn;
import escrel.core.timing.readings.KnownLift;
import escrel.core.timing.readings.ReadingSet;
import escrel.core.triage.Triage;
import escrel.core.watchcase.CaseOfJob;
import escrel.core.watchcase.CaseSheet;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * One job: what was recorded of it, the movement as it knows it, the schools that hold for it, and every state computed
 * from these once and kept. Immutable; a further step makes another job.
 */
public final class Job {
    private final JobHistory recorded;
    private final JobHistory history;
    private final @Nullable CalibreSheet bound;
    private final @Nullable CaseSheet watchcase;
    private final Schools usual;
    private final Schools schools;
    private final KnownMovement known;
    private final CalibreSheet movement;
    private final Lazy<Lives> lives = new Lazy<>(this::foldLives);
    private final Lazy<TeardownState> teardown = new Lazy<>(() -> TeardownState.of(lives()));
    private final Lazy<TeardownOrder> wayDown = new Lazy<>(() -> TeardownOrder.from(teardown(), down()));
    private final Lazy<Findings> findings = new Lazy<>(this::fold);
    private final Lazy<ScrewAccount> screws = new Lazy<>(() -> ScrewAccount.of(teardown(), findings()));
    private final Lazy<Supply> supply = new Lazy<>(() -> Supply.of(history(), findings(), movement()));
    private final Lazy<Searches> searches = new Lazy<>(this::foldSearches);
    private final Lazy<CleaningState> cleaning = new Lazy<>(this::foldCleaning);
    private final Lazy<Looks> looks = new Lazy<>(() -> Looks.of(lives(), history(), cleaning()));
    private final Lazy<LubricationState> lubrication = new Lazy<>(this::foldLubrication);
    private final Lazy<TestState> tests = new Lazy<>(this::foldTests);
    private final Lazy<AssemblyPlan> wayUp = new Lazy<>(this::planUp);
    private final Lazy<List<Account>> accounts = new Lazy<>(this::allAccounts);
    private final Lazy<List<ReadingSet>> readings = new Lazy<>(() -> ReadingSet.of(history()));
    private final Lazy<Stage> stage = new Lazy<>(() -> StageOf.job(this));
    private final Lazy<List<Interventions.Intervention>> interventions = new Lazy<>(this::allInterventions);

    private Job(
            JobHistory recorded,
            @Nullable CalibreSheet bound,
            @Nullable CaseSheet watchcase,
            Schools schools,
            @Nullable Job before) {
        this.recorded = recorded;
        this.history = bound == null
                ? recorded.inPresentCodes()
                : KnownLift.in(recorded.inPresentCodes(), bound.data().liftAngle());
        this.bound = bound;
        this.usual = schools;
        this.schools = ofJob(schools, history);
        this.watchcase = watchcase;
        CalibreSheet sheet = bound == null ? LearntSheet.unknown() : asBound(bound);
        this.known = KnownMovement.of(
                new KnownMovement.From(
                        CaseOfJob.around(sheet, watchcase, history, this::codesOfSteps),
                        LearntSheet.Said.in(history, bound == null),
                        this.schools),
                before == null ? null : before.known);
        this.movement = known.sheet();
    }

    private CalibreSheet asBound(CalibreSheet sheet) {
        String variant =
                history.last(CalibreBound.class).map(CalibreBound::variant).orElse("");
        return variant.isEmpty() ? sheet : VariantSheet.of(sheet, variant, codesOfSteps());
    }

    private Set<String> codesOfSteps() {
        Set<String> codes = new HashSet<>();
        history.counting().forEach(entry -> codes.addAll(StepRegister.partsOf(entry.step())));
        return codes;
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

    private static Schools ofJob(Schools usual, JobHistory history) {
        Schools schools = usual;
        for (var entry : history.counting(SchoolChosen.class, SchoolSetAside.class)) {
            if (entry.step() instanceof SchoolChosen chosen) {
                schools = schools.with(chosen.choice());
            } else if (entry.step() instanceof SchoolSetAside aside) {
                schools = schools.without(aside.school());
            }
        }
        return schools;
    }

    private Lives foldLives() {
        return Lives.of(movement, history);
    }

    private Findings fold() {
        return Findings.of(lives(), history);
    }

    private Searches foldSearches() {
        return Searches.of(lives(), history, findings());
    }

    private CleaningState foldCleaning() {
        return CleaningState.of(lives(), history, findings());
    }

    private LubricationState foldLubrication() {
        return LubricationState.of(lives(), history);
    }

    private TestState foldTests() {
        return TestState.of(lives(), history);
    }

    private AssemblyPlan planUp() {
        return AssemblyPlan.from(lives(), up(), schools, searches(), lubrication(), tests());
    }

    private List<Account> allAccounts() {
        return Accounts.of(history, tallies(), sequence -> upTo(sequence).tallies());
    }

    private List<Interventions.Intervention> allInterventions() {
        return Interventions.of(history, lives(), copies());
    }

    /** What each concept counts, in the order in which the accounts are shown. Source: M17. */
    public List<Tally> tallies() {
        List<Tally> always = List.of(
                Homes.tally(lives(), copies()),
                screws().tally(history.ruleBook()),
                lubrication().tally(),
                tests().tally(),
                findings().tally(movement),
                findings().interim(movement),
                searches().tally(movement),
                Homes.visits(lives()));
        if (!history.ruleBook().asksForAll()) {
            return always;
        }
        List<Tally> all = new ArrayList<>(always);
        all.add(cleaning().tally());
        all.add(ReadingsDue.tally(history, lives().lastMovedAt()));
        return List.copyOf(all);
    }

    /** This job as it stood right after a step. */
    public Job upTo(int sequence) {
        return having(recorded.upTo(sequence));
    }

    /** The same watch under the same schools with something else on record. */
    public Job having(JobHistory otherRecord) {
        return new Job(otherRecord, bound, watchcase, schools, this);
    }

    /** What is on record, as it was recorded. */
    public JobHistory recorded() {
        return recorded;
    }

    /** What is on record, with parts called by the codes in use now and amplitudes worked out for the known lift angle. */
    public JobHistory history() {
        return history;
    }

    /** The sheet it is bound to; nothing while the calibre is unknown. */
    public @Nullable CalibreSheet sheet() {
        return bound;
    }

    /** The sheet of the watch's case; nothing while that is unknown. */
    public @Nullable CaseSheet caseSheet() {
        return watchcase;
    }

    /** The case as this job knows it: its sheet, and what was said of it; nothing where neither speaks. */
    public Optional<CaseSheet> watchcase() {
        return CaseOfJob.of(watchcase, history);
    }

    /** The movement as this job knows it, in its case: its sheet, what was learnt on the way, the charts of the schools. */
    public CalibreSheet movement() {
        return movement;
    }

    /** The schools of the workshop and the calibre, without what the job itself chose. */
    public Schools usualSchools() {
        return usual;
    }

    /** The schools that hold. */
    public Schools schools() {
        return schools;
    }

    /** What was agreed, if it was asked. */
    public Optional<WorkAgreed> agreed() {
        return history.last(WorkAgreed.class);
    }

    /** Each part's episodes, and the rounds. */
    public Lives lives() {
        return lives.get();
    }

    /** What is off and on in the present round. */
    public TeardownState teardown() {
        return teardown.get();
    }

    /** The rules of the way down. */
    public Rules down() {
        return known.down();
    }

    /** The rules of the way up. */
    public Rules up() {
        return known.up();
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
        return Tray.of(teardown(), schools, screws());
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
        return stage() == Stage.HANDED_OVER ? Optional.empty() : RunIn.nextDue(history, closedAt());
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
        history.counting().forEach(entry -> StepRegister.words(entry.step(), movement));
    }
}
