package escrel.core.handover;

import escrel.core.assembly.TestMade;
import escrel.core.calibre.AssemblyTest;
import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.OilPoint;
import escrel.core.calibre.Part;
import escrel.core.calibre.ScrewPlace;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.lubrication.LubricationState;
import escrel.core.parts.Finding;
import escrel.core.parts.Findings;
import escrel.core.parts.LeftOut;
import escrel.core.parts.Searches;
import escrel.core.service.JobHistory;
import escrel.core.teardown.TeardownState;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Counts everything that must be zero before hand-over. Homes are counted, not what came off: a place that was empty on
 * arrival is a home too. Visits never count as assembled. Source: M17.
 */
public final class Accounts {
    private final CalibreSheet sheet;
    private final JobHistory history;
    private final TeardownState teardown;
    private final Findings findings;
    private final Map<Account.Kind, String> waivers = new HashMap<>();

    private Accounts(CalibreSheet sheet, JobHistory history) {
        this.sheet = sheet;
        this.history = history;
        this.teardown = TeardownState.of(sheet, history);
        this.findings = Findings.of(history);
        history.all(Waived.class).forEach(w -> waivers.put(w.account(), w.reason()));
    }

    /** All accounts of a job, in the order of {@link Account.Kind}. */
    public static List<Account> of(CalibreSheet sheet, JobHistory history) {
        Accounts accounts = new Accounts(sheet, history);
        return List.of(
                accounts.homes(),
                accounts.screws(),
                accounts.lubrication(),
                accounts.tests(),
                accounts.findings(),
                accounts.interim(),
                accounts.searches(),
                accounts.visits());
    }

    /** Whether a job may leave: every account balances or is waived. */
    public static boolean mayLeave(List<Account> accounts) {
        return accounts.stream().noneMatch(Account::blocks);
    }

    private Account homes() {
        Map<String, String> leftOut = leftOut();
        List<String> open = new ArrayList<>();
        int original = 0;
        int replaced = 0;
        int supplied = 0;
        int empty = 0;
        for (Part part : sheet.homes()) {
            boolean missing = missingOnArrival(part.code());
            if (leftOut.containsKey(part.code())) {
                empty++;
            } else if (teardown.isOff(part.code())) {
                open.add(part.name() + " is off");
            } else if (missing && !findings.isReplaced(part.code())) {
                open.add(part.name() + " was missing on arrival and nothing was decided to take its place");
            } else if (missing) {
                supplied++;
            } else if (findings.isReplaced(part.code())) {
                replaced++;
            } else {
                original++;
            }
        }
        String settled =
                "%d original, %d replaced, %d supplied, %d left empty".formatted(original, replaced, supplied, empty);
        return account(Account.Kind.HOMES, sheet.homes().size(), open, settled);
    }

    private boolean missingOnArrival(String part) {
        return findings.on(part).stream()
                .anyMatch(f -> f.grade() == Grade.MISSING && f.origin() != Origin.THIS_SERVICE && !f.isAboutScrew());
    }

    private Map<String, String> leftOut() {
        Map<String, String> leftOut = new HashMap<>();
        history.all(LeftOut.class).forEach(l -> leftOut.put(l.part(), l.reason()));
        return leftOut;
    }

    private Account screws() {
        Map<String, String> leftOut = leftOut();
        List<String> open = sheet.screws().stream()
                .filter(s -> teardown.isOff(s.part()) && !leftOut.containsKey(s.part()))
                .map(this::screwOut)
                .toList();
        int home = sheet.screws().size() - open.size();
        return account(Account.Kind.SCREWS, sheet.screws().size(), open, home + " in their holes");
    }

    private String screwOut(ScrewPlace screw) {
        return "%s of %s (%s) is out"
                .formatted(
                        screw.code(),
                        sheet.requirePart(screw.part()).name(),
                        screw.length().name().toLowerCase().replace('_', ' '));
    }

    private Account lubrication() {
        LubricationState state = LubricationState.of(teardown, history);
        List<String> open = state.open().stream().map(OilPoint::name).toList();
        long skipped = state.due().stream()
                .filter(p -> state.skipped(p.code()).isPresent())
                .count();
        long done = state.due().size() - open.size() - skipped;
        return account(
                Account.Kind.LUBRICATION,
                state.due().size(),
                open,
                "%d done, %d left out with a reason".formatted(done, skipped));
    }

    private Account tests() {
        Map<String, TestMade> made = new HashMap<>();
        history.all(TestMade.class).forEach(t -> made.put(t.test(), t));
        List<AssemblyTest> due =
                sheet.tests().stream().filter(t -> teardown.wasOff(t.after())).toList();
        List<String> open = new ArrayList<>();
        long passedOver = 0;
        for (AssemblyTest test : due) {
            Optional<TestMade> last = Optional.ofNullable(made.get(test.code()));
            if (last.isEmpty()) {
                open.add(test.name());
            } else if (last.get().outcome() == TestMade.Outcome.FAILED) {
                open.add(test.name() + " failed: " + last.get().words());
            } else if (last.get().outcome() == TestMade.Outcome.PASSED_OVER) {
                passedOver++;
            }
        }
        return account(
                Account.Kind.TESTS,
                due.size(),
                open,
                "%d passed, %d passed over with a reason".formatted(due.size() - open.size() - passedOver, passedOver));
    }

    private Account findings() {
        List<String> open = new ArrayList<>();
        for (Finding finding : findings.all()) {
            if (finding.isOpen()) {
                open.add(describe(finding) + ": nothing decided");
            } else if (finding.lacksSource()) {
                open.add(describe(finding) + ": where the replacement comes from is not said");
            }
        }
        long decided = findings.all().stream()
                .filter(f -> f.decided() != null && !f.lacksSource())
                .count();
        return account(
                Account.Kind.FINDINGS,
                findings.all().size(),
                open,
                "%d decided, %d need no decision"
                        .formatted(decided, findings.all().size() - decided - open.size()));
    }

    private String describe(Finding finding) {
        String where = finding.part() == null
                ? "the watch"
                : sheet.part(finding.part()).map(Part::name).orElse(finding.part());
        return finding.words().isBlank() ? where : where + " (" + finding.words() + ")";
    }

    private Account interim() {
        List<Finding> interim =
                findings.all().stream().filter(Finding::isInterim).toList();
        return account(
                Account.Kind.INTERIM_PARTS,
                interim.size(),
                interim.stream()
                        .map(f -> describe(f) + " waits for its replacement")
                        .toList(),
                interim.isEmpty() ? "no interim part in the movement" : "");
    }

    private Account searches() {
        Searches searches = Searches.of(history);
        List<String> open = new ArrayList<>();
        searches.lost()
                .forEach(p -> open.add(
                        sheet.part(p).map(Part::name).orElse(p) + " is lost: search on, or decide on a replacement"));
        searches.unexplained().values().forEach(f -> open.add("a fragment is unexplained: " + f.words()));
        int total = searches.everLost()
                + searches.explained()
                + searches.unexplained().size();
        return account(
                Account.Kind.SEARCHES,
                total,
                open,
                total == 0 ? "nothing lost, no fragment" : (total - open.size()) + " found or explained");
    }

    private Account visits() {
        List<String> open = teardown.visiting().stream()
                .map(p -> sheet.requirePart(p).name() + " is fitted for a visit only")
                .sorted()
                .toList();
        return account(Account.Kind.VISITS, open.size(), open, open.isEmpty() ? "no part is in for a visit only" : "");
    }

    private Account account(Account.Kind kind, int total, List<String> open, String settled) {
        return new Account(kind, total, open, settled, open.isEmpty() ? null : waivers.get(kind));
    }
}
