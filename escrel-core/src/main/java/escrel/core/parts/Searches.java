package escrel.core.parts;

import escrel.core.service.JobHistory;
import escrel.core.service.RecordedStep;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Open questions that nothing may close over: parts that were lost, fragments nobody has placed. Source: M17. */
public final class Searches {
    private final Set<String> lost = new LinkedHashSet<>();
    private final Set<String> everLost = new LinkedHashSet<>();
    private final Map<Integer, FragmentFound> unexplained = new LinkedHashMap<>();
    private final Map<Integer, FragmentExplained> explained = new LinkedHashMap<>();

    private Searches() {}

    /** What is still searched for after these steps. A lost part whose replacement was decided is no longer searched for. */
    public static Searches of(JobHistory history) {
        Searches searches = new Searches();
        for (RecordedStep entry : history.counting()) {
            if (entry.step() instanceof Happened event) {
                searches.happened(event);
            } else if (entry.step() instanceof FragmentFound fragment) {
                searches.unexplained.put(entry.sequence(), fragment);
            } else if (entry.step() instanceof FragmentExplained words) {
                searches.unexplained.remove(words.fragment());
                searches.explained.put(words.fragment(), words);
            }
        }
        Findings findings = Findings.of(history);
        searches.lost.removeIf(findings::isReplaced);
        return searches;
    }

    private void happened(Happened event) {
        if (event.what() == Happened.What.LOST) {
            lost.add(event.part());
            everLost.add(event.part());
        } else if (event.what() == Happened.What.FOUND_AGAIN) {
            lost.remove(event.part());
        }
    }

    /** Codes of parts with a search open, first lost first. */
    public List<String> lost() {
        return new ArrayList<>(lost);
    }

    /** Whether a search for this part is open. */
    public boolean isLost(String part) {
        return lost.contains(part);
    }

    /** How many parts were lost at some time. */
    public int everLost() {
        return everLost.size();
    }

    /** Fragments without an explanation, by the sequence of the step that found them. */
    public Map<Integer, FragmentFound> unexplained() {
        return Map.copyOf(unexplained);
    }

    /** How many fragments were placed. */
    public int explained() {
        return explained.size();
    }
}
