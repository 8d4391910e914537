package escrel.core.triage;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.condition.Defect;
import escrel.core.condition.Grade;
import escrel.core.condition.Origin;
import escrel.core.lume.Lume;
import escrel.core.marks.Marks;
import escrel.core.outside.Outside;
import escrel.core.outside.OutsidePiece;
import escrel.core.parts.Finding;
import escrel.core.parts.Findings;
import escrel.core.service.JobHistory;
import escrel.core.service.RecordedStep;
import escrel.core.triage.Checked.Outcome;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What the recorded facts add up to. Each rule looks at one thing, says what follows from it and why; the gravest of them is the
 * verdict. A sound dial and a balance that swings are nearly always worth saving. Source: craft 2.1; where one rule ends and the
 * next begins is ours.
 */
public final class Triage {
    /** From the lightest to the gravest. */
    public enum Verdict {
        GO_AHEAD("go ahead"),
        WITH_A_WARNING("go ahead, with a warning"),
        ASK_THE_OWNER("ask the owner first"),
        DECLINE("decline, or say plainly what it would take");

        private final String words;

        Verdict(String words) {
            this.words = words;
        }

        /** As it is said. */
        public String words() {
            return words;
        }
    }

    /** A reason, and what follows from it alone. */
    public record Reason(Verdict verdict, String why) {}

    /** Missing parts, from which on a watch is a heap of parts. Ours. */
    private static final int MANY_MISSING = 4;

    private final List<Reason> reasons = new ArrayList<>();
    private final Map<Check, Checked> checks = new EnumMap<>(Check.class);
    private final Facts facts;

    private Triage(Facts facts) {
        this.facts = facts;
        fromOutside(Outside.of(facts.history()));
        facts.history().counting().forEach(this::tried);
        soundness();
        water();
        missing();
        dear();
        paint();
        marks();
        functions();
        unknown();
    }

    /**
     * What the rules look at.
     *
     * @param movement its parts, for their names
     * @param known whether the calibre is
     */
    public record Facts(
            JobHistory history, Findings findings, Lume lume, Marks marks, CalibreSheet movement, boolean known) {}

    /** The triage of these facts. */
    public static Triage of(Facts facts) {
        return new Triage(facts);
    }

    /** The latest outcome of each check. */
    public Map<Check, Checked> checks() {
        return Map.copyOf(checks);
    }

    /** Whether enough is known: the balance was tried and the dial looked at. */
    public boolean isEnough() {
        return isSaid(Check.BALANCE_SWINGS) && isSaid(Check.DIAL_SOUND);
    }

    /** The reasons, gravest first. */
    public List<Reason> reasons() {
        return reasons.stream()
                .sorted((a, b) -> b.verdict().compareTo(a.verdict()))
                .toList();
    }

    /** The gravest of what follows. */
    public Verdict verdict() {
        return reasons.stream().map(Reason::verdict).max(Verdict::compareTo).orElse(Verdict.GO_AHEAD);
    }

    /** What the outside says already is not asked again; what was said of it by itself goes before. */
    private void fromOutside(Outside outside) {
        fromOutside(Check.DIAL_SOUND, outside.isSound(p -> p == OutsidePiece.DIAL));
        fromOutside(Check.HANDS_SOUND, outside.isSound(p -> p == OutsidePiece.HANDS));
        fromOutside(Check.CASE_SOUND, outside.isSound(OutsidePiece::isOfTheCase));
        if (outside.hasNone(OutsidePiece.PUSHERS)) {
            for (Check check : Check.values()) {
                if (check.isOfAChronograph()) {
                    checks.put(check, new Checked(check, Outcome.NONE, "it has no pushers"));
                }
            }
        }
    }

    private void tried(RecordedStep entry) {
        if (entry.step() instanceof Checked c) {
            checks.put(c.check(), c);
        } else if (entry.step() instanceof ResetTried reset) {
            checks.put(
                    Check.RESET_WHILE_RUNNING,
                    reset.against(facts.movement().lore().pushers()));
        }
    }

    private void fromOutside(Check check, Optional<Boolean> sound) {
        sound.ifPresent(s -> checks.put(check, new Checked(check, s ? Outcome.YES : Outcome.NO, "seen from outside")));
    }

    private void add(Verdict verdict, String why) {
        reasons.add(new Reason(verdict, why));
    }

    private boolean isSaid(Check check) {
        return is(check, Outcome.YES) || is(check, Outcome.NO);
    }

    private boolean is(Check check, Outcome outcome) {
        Checked checked = checks.get(check);
        return checked != null && checked.outcome() == outcome;
    }

    private void soundness() {
        boolean dead = is(Check.BALANCE_SWINGS, Outcome.NO);
        boolean spoilt = is(Check.DIAL_SOUND, Outcome.NO);
        if (dead && spoilt) {
            add(
                    Verdict.DECLINE,
                    "the balance does not swing and the dial is not sound: both of what makes a watch worth saving");
        } else if (dead) {
            add(Verdict.ASK_THE_OWNER, "the balance does not swing: staff, pivots or caps, and what that costs");
        } else if (spoilt) {
            add(Verdict.ASK_THE_OWNER, "the dial is not sound, and nothing done inside mends it");
        } else if (is(Check.BALANCE_SWINGS, Outcome.YES) && is(Check.DIAL_SOUND, Outcome.YES)) {
            add(Verdict.GO_AHEAD, "dial sound and balance swinging: nearly always worth saving");
        }
    }

    private void water() {
        boolean wet = is(Check.DRY_INSIDE, Outcome.NO);
        boolean rust = facts.findings().open().stream().anyMatch(f -> f.defect() == Defect.RUSTED);
        if (wet || rust) {
            add(
                    Verdict.ASK_THE_OWNER,
                    (wet ? "water or mould inside" : "rust")
                            + ": how far it went shows only when it is open, and the estimate with it");
        }
    }

    private void missing() {
        // what was lost here is ours to find, and what is decided about is asked no more
        long gone = facts.findings().open().stream()
                .filter(f -> f.grade() == Grade.MISSING && !f.isWithinPart() && f.origin() != Origin.THIS_SERVICE)
                .count();
        if (gone >= MANY_MISSING) {
            add(Verdict.DECLINE, gone + " parts are missing: it wants a donor before it wants a restorer");
        } else if (gone > 0) {
            add(
                    Verdict.ASK_THE_OWNER,
                    gone + (gone == 1 ? " part is" : " parts are") + " missing: whether one can be had comes first");
        }
    }

    private void dear() {
        for (Finding finding : facts.findings().open()) {
            String code = finding.part();
            if (code != null && finding.grade() == Grade.BROKEN && !finding.isWithinPart()) {
                String name = facts.movement().part(code).map(Part::name).orElse(code);
                add(Verdict.ASK_THE_OWNER, name + " is broken, and nothing is decided about it yet");
            }
        }
    }

    private void paint() {
        Lume lume = facts.lume();
        if (lume.wantsCare()) {
            add(
                    Verdict.WITH_A_WARNING,
                    lume.mark() + ": the points of care hold, local rules decide on storage and disposal");
        }
    }

    private void marks() {
        facts.marks().comparisons().stream()
                .filter(c -> c.verdict() == Marks.Verdict.DIFFERS)
                .forEach(c -> add(Verdict.WITH_A_WARNING, c.what() + " differ: " + c.why()));
    }

    private void functions() {
        for (Check check : Check.values()) {
            boolean own = check == Check.BALANCE_SWINGS || check == Check.DIAL_SOUND || check == Check.DRY_INSIDE;
            Checked checked = checks.get(check);
            if (!own && checked != null && checked.outcome() == Outcome.NO) {
                String seen = checked.words().isEmpty() ? "" : " (" + checked.words() + ")";
                add(Verdict.WITH_A_WARNING, "not so: " + check.words() + seen);
            }
        }
    }

    private void unknown() {
        if (!facts.known()) {
            add(Verdict.WITH_A_WARNING, "the calibre is not known: no times and no parts to go by");
        }
    }
}
