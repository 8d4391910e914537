package escrel.core.cleaning;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Hazard;
import escrel.core.calibre.Part;
import escrel.core.calibre.Wash;
import escrel.core.condition.Grade;
import escrel.core.parts.Copy;
import escrel.core.parts.FindingRaised;
import escrel.core.parts.FindingWorked;
import escrel.core.parts.Findings;
import escrel.core.parts.Judged;
import escrel.core.parts.Looked;
import escrel.core.service.Episode;
import escrel.core.service.Happened;
import escrel.core.service.JobHistory;
import escrel.core.service.Lives;
import escrel.core.service.OpenItem;
import escrel.core.service.RecordedStep;
import escrel.core.service.Tally;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Which parts owe a rinse or a look, and how each may be cleaned. A part owes its rinse the first time it comes off;
 * lifted again it owes one only where it is another copy or was worked on. What was rinsed, and every other copy, owes a
 * look under the microscope. Source: craft 9, 2.9, 2.11.
 */
public final class CleaningState {
    private final Lives lives;
    private final Findings findings;
    private final Map<String, Wash> ways = new HashMap<>();
    private final Map<String, Integer> washedAt = new HashMap<>();
    private final Map<String, Map<Wash, Integer>> prepared = new HashMap<>();
    private final Set<String> unjudged = new HashSet<>();
    private final Map<String, Integer> lookedAt = new HashMap<>();
    private final Map<String, Integer> touchedAt = new HashMap<>();

    private CleaningState(Lives lives, Findings findings) {
        this.lives = lives;
        this.findings = findings;
    }

    /** The state after these steps. */
    public static CleaningState of(Lives lives, JobHistory history, Findings findings) {
        CleaningState state = new CleaningState(lives, findings);
        history.counting(
                        Washed.class,
                        Looked.class,
                        Judged.class,
                        FindingRaised.class,
                        FindingWorked.class,
                        Happened.class)
                .forEach(state::take);
        return state;
    }

    private void take(RecordedStep entry) {
        int at = entry.sequence();
        if (entry.step() instanceof Washed washed && washed.way().isPreparation()) {
            washed.parts()
                    .forEach(p -> prepared.computeIfAbsent(p, k -> new EnumMap<>(Wash.class))
                            .put(washed.way(), at));
        } else if (entry.step() instanceof Washed washed) {
            washed.parts().forEach(p -> {
                ways.put(p, washed.way());
                washedAt.put(p, at);
            });
        } else if (entry.step() instanceof Looked looked) {
            looked.parts().forEach(p -> lookedAt.put(p, at));
            looked.parts().forEach(unjudged::remove);
        } else if (entry.step() instanceof Judged judged) {
            judged.parts().forEach(p -> judge(p, judged.grade(), at));
        } else if (entry.step() instanceof FindingRaised raised && raised.part() != null) {
            judge(raised.part(), raised.grade(), at);
        } else if (entry.step() instanceof FindingWorked worked) {
            findings.byKey(worked.finding())
                    .filter(f -> f.part() != null && !f.isWithinPart())
                    .ifPresent(f -> touchedAt.put(String.valueOf(f.part()), at));
        } else if (entry.step() instanceof Happened event
                && event.what() != Happened.What.LOST
                && event.what() != Happened.What.FOUND_LOOSE) {
            touchedAt.put(event.part(), at);
        }
    }

    private void judge(String part, Grade grade, int at) {
        if (grade == Grade.NOT_JUDGED) {
            // "cannot tell until it is clean" is no look: it asks for one
            unjudged.add(part);
        } else {
            lookedAt.put(part, at);
            unjudged.remove(part);
        }
    }

    /** Sequence since which the copy now at hand owes a rinse; 0 when it owes none. */
    private int rinseOwedSince(String part) {
        Optional<Episode> last = lives.episode(part);
        if (last.isEmpty()) {
            return 0;
        }
        Episode episode = last.get();
        Copy copy = findings.copies().now(part).orElse(null);
        if (copy == null) {
            // an empty home: nothing to rinse
            return 0;
        }
        int owed = 0;
        if (copy.isBroughtIn() && copy.since() > 0) {
            owed = copy.since();
        } else if (lives.episodesOf(part).size() == 1 && !episode.wasAbsent()) {
            owed = episode.offAt();
        }
        int touched = touchedAt.getOrDefault(part, 0);
        return touched > episode.offAt() && touched > owed ? touched : owed;
    }

    private boolean owesRinse(String part) {
        int owed = rinseOwedSince(part);
        return owed > 0
                && washedAt.getOrDefault(part, 0) < owed
                && !lives.leftOut().containsKey(part);
    }

    private boolean owesLook(String part) {
        int offAt = lives.offAt(part);
        int copy = findings.copies().now(part).map(Copy::since).orElse(0);
        int owed = Math.max(washedAt.getOrDefault(part, 0), copy);
        return offAt > 0
                && owed > offAt
                && lookedAt.getOrDefault(part, 0) < owed
                && !lives.leftOut().containsKey(part);
    }

    /** How this part was cleaned for its present stay, if it was. */
    public Optional<Wash> wayOf(String part) {
        int since = Math.max(rinseOwedSince(part), lives.offAt(part));
        return washedAt.getOrDefault(part, 0) > since ? Optional.ofNullable(ways.get(part)) : Optional.empty();
    }

    /** Whether it was prepared in this way since it owes its rinse. */
    public boolean isPrepared(String part, Wash way) {
        return prepared.getOrDefault(part, Map.of()).getOrDefault(way, 0) > rinseOwedSince(part);
    }

    /** How often and how, ever in this job: for the report. */
    public boolean wasEverWashed(String part) {
        return washedAt.containsKey(part);
    }

    /** Parts that owe a rinse and lie at hand, in the order in which they came off. */
    public List<Part> due() {
        return everOff().stream()
                .filter(p -> owesRinse(p.code()) && isAtHand(p.code()))
                .toList();
    }

    private boolean isAtHand(String part) {
        return lives.isOff(part)
                || findings.copies()
                        .now(part)
                        .filter(c -> c.isBroughtIn() && c.fittedAt() == 0)
                        .isPresent();
    }

    /** Of what is due, the parts that go together in this way. */
    public List<Part> due(Wash way) {
        return due().stream().filter(p -> p.wash() == way).toList();
    }

    /** Clean parts that owe a look: what could not be told while it was dirty, then the rest as it came off. */
    public List<Part> toLookAt() {
        return everOff().stream()
                .filter(p -> owesLook(p.code()) && !owesRinse(p.code()))
                .sorted(Comparator.comparing(p -> !couldNotTell(p.code())))
                .toList();
    }

    /** Whether it was said of the part, dirty, that it cannot be told until it is clean. Source: craft 2.9, grade U. */
    public boolean couldNotTell(String part) {
        return unjudged.contains(part)
                || lives.episode(part)
                        .map(Episode::off)
                        .filter(off -> off.asFound() == Grade.NOT_JUDGED)
                        .isPresent();
    }

    private List<Part> everOff() {
        return lives.everOff().stream()
                .map(lives.sheet()::requirePart)
                .filter(p -> !p.isPowerDown())
                .toList();
    }

    /**
     * Of these parts, the ones that must not be cleaned in this way. What is cleaned by hand only, or no further than the
     * stance, goes into no bath at all: a dip lifts print and paint as the machine does.
     */
    public List<Part> notFor(Wash way, List<String> parts) {
        CalibreSheet sheet = lives.sheet();
        return parts.stream()
                .map(sheet::requirePart)
                .filter(p -> switch (way) {
                    case MACHINE -> p.wash() != Wash.MACHINE;
                    case DIP -> p.wash() != Wash.MACHINE && p.wash() != Wash.DIP;
                    case BY_HAND -> p.wash() == Wash.STANCE;
                    case WATER_BATH -> p.wash() != Wash.WATER_BATH;
                    case SOLVENT -> p.wash() == Wash.STANCE || p.wash() == Wash.BY_HAND && !p.has(Hazard.COATED);
                    case PEGGED, PUTTY -> p.wash() == Wash.STANCE;
                    // what may not go into a bath shakes no better in another one
                    case ULTRASONIC -> p.wash() != Wash.MACHINE && p.wash() != Wash.WATER_BATH;
                    case STANCE -> false;
                })
                .toList();
    }

    /** What is still owed before a part goes on, in words; nothing where it is clean and was looked at. Source: craft 2.11, 9. */
    public Optional<String> owedBeforeOn(String part) {
        if (owesRinse(part)) {
            return Optional.of("was not rinsed since it came off or was brought in");
        }
        return owesLook(part) ? Optional.of("was not looked at since it was cleaned or brought in") : Optional.empty();
    }

    /** The account of rinses and looks. */
    public Tally tally() {
        List<OpenItem> open = new ArrayList<>();
        for (Part part : everOff()) {
            String code = part.code();
            if (owesRinse(code)) {
                open.add(new OpenItem(
                        "rinse:" + code + "@" + rinseOwedSince(code),
                        code,
                        part.name() + " was not rinsed",
                        OpenItem.Place.WASHING));
            } else if (owesLook(code)) {
                open.add(new OpenItem(
                        "look:" + code + "@" + lives.offAt(code),
                        code,
                        part.name() + " was not looked at since it was cleaned or brought in",
                        OpenItem.Place.INSPECTION));
            }
        }
        int total = everOff().size();
        return new Tally(
                Tally.Kind.CLEANING,
                total,
                open,
                (total - open.size()) + " rinsed and looked at as far as they owed it");
    }
}
