package escrel.core.parts;

import escrel.core.calibre.CalibreSheet;
import escrel.core.calibre.Part;
import escrel.core.service.Happened;
import escrel.core.service.JobHistory;
import escrel.core.service.Lives;
import escrel.core.service.OpenItem;
import escrel.core.service.RecordedStep;
import escrel.core.service.Tally;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Open questions that nothing may close over: parts that were lost, fragments nobody has placed. Source: M17. */
public final class Searches {
    private final Map<String, Integer> lost = new LinkedHashMap<>();
    private final Set<String> everLost = new HashSet<>();
    private final Map<Integer, FragmentFound> unexplained = new LinkedHashMap<>();
    private final Map<Integer, FragmentExplained> explained = new HashMap<>();

    private final Suspicions suspicions;

    private Searches(Suspicions suspicions) {
        this.suspicions = suspicions;
    }

    /**
     * The searches after these steps. A part is searched for until it is found, fitted, or another copy is at hand; a
     * copy that is lost too is searched for like the first.
     */
    public static Searches of(Lives lives, JobHistory history, Findings findings) {
        Searches searches = new Searches(Suspicions.of(history));
        for (RecordedStep entry :
                history.counting(Happened.class, CopyAtHand.class, FragmentFound.class, FragmentExplained.class)) {
            if (entry.step() instanceof Happened event) {
                searches.happened(event, entry.sequence());
            } else if (entry.step() instanceof CopyAtHand hand) {
                searches.lost.remove(hand.part());
            } else if (entry.step() instanceof FragmentFound fragment) {
                searches.unexplained.put(entry.sequence(), fragment);
            } else if (entry.step() instanceof FragmentExplained words) {
                searches.unexplained.remove(words.fragment());
                searches.explained.put(words.fragment(), words);
            }
        }
        searches.lost.entrySet().removeIf(e -> isOver(e.getKey(), e.getValue(), lives, history, findings));
        return searches;
    }

    private static boolean isOver(String part, int lostAt, Lives lives, JobHistory history, Findings findings) {
        boolean fittedSince = lives.episode(part).filter(e -> e.onAt() > lostAt).isPresent();
        // by the first rule book deciding on another one ended the search
        boolean decided = !history.ruleBook().asksForAll()
                && findings.on(part).stream().anyMatch(f -> f.replaces() && f.decidedAt() > lostAt);
        return fittedSince || decided;
    }

    private void happened(Happened event, int at) {
        if (event.what() == Happened.What.LOST) {
            lost.put(event.part(), at);
            everLost.add(event.part());
        } else if (event.what() == Happened.What.FOUND_AGAIN) {
            lost.remove(event.part());
        }
    }

    /** Codes of parts with a search open, first lost first. */
    public List<String> lost() {
        return new ArrayList<>(lost.keySet());
    }

    /** Whether a search for this part is open. */
    public boolean isLost(String part) {
        return lost.containsKey(part);
    }

    /** Fragments without an explanation, by the sequence of the step that found them. */
    public Map<Integer, FragmentFound> unexplained() {
        return new LinkedHashMap<>(unexplained);
    }

    /** What is and was suspected. */
    public Suspicions suspicions() {
        return suspicions;
    }

    /** The account of searches, fragments and suspicions. */
    public Tally tally(CalibreSheet sheet) {
        List<OpenItem> open = new ArrayList<>();
        lost.forEach((part, at) -> open.add(new OpenItem(
                "lost:" + part + "@" + at,
                part,
                sheet.part(part).map(Part::name).orElse(part) + " is lost: search on, or bring another one in",
                OpenItem.Place.STRIP)));
        unexplained.forEach((at, f) -> open.add(
                new OpenItem("fragment:" + at, null, "a fragment is unexplained: " + f.words(), OpenItem.Place.STRIP)));
        open.addAll(suspicions.items(sheet));
        int total = everLost.size()
                + explained.size()
                + unexplained.size()
                + suspicions.all().size();
        return new Tally(
                Tally.Kind.SEARCHES,
                total,
                open,
                total == 0
                        ? "nothing lost, no fragment"
                        : Math.max(0, total - open.size()) + " found, explained or looked at");
    }
}
