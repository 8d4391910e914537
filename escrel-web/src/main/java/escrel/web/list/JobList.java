package escrel.web.list;

import escrel.core.handover.Stage;
import escrel.web.list.ListMapper.Hit;
import escrel.web.list.ListMapper.Line;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Jobs that were asked for: the one of that number first, then those in the house, then those that went back, the latest first
 * of each.
 */
@Component
public class JobList {
    private final ListMapper mapper;

    JobList(ListMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * Some of the jobs that were asked for.
     *
     * @param atStage how many of them there are at each stage, whichever stage was asked for
     */
    public record Found(Map<Stage, Integer> atStage, List<Line> jobs) {
        /** How many there are at any stage. */
        public int all() {
            return atStage.values().stream().mapToInt(Integer::intValue).sum();
        }
    }

    /**
     * Some of the jobs that were asked for.
     *
     * @param from how many of the first are left out
     * @param most so many at most
     */
    @Transactional(readOnly = true)
    public Found find(Wanted wanted, int from, int most) {
        if (wanted.wordless()) {
            return new Found(Map.of(), List.of());
        }
        return wanted.everything() ? ofAll(wanted.stage(), from, most) : ofHits(wanted, from, most);
    }

    /** By the index, so that as much is read as is shown, however many there are. */
    private Found ofAll(@Nullable Stage stage, int from, int most) {
        Map<Stage, Integer> counts = new EnumMap<>(Stage.class);
        mapper.counts().forEach(c -> counts.put(c.stage(), c.jobs()));
        if (stage != null) {
            return new Found(counts, mapper.at(stage, from, most));
        }
        List<Line> all = new ArrayList<>(mapper.at(null, from, most));
        if (all.size() < most) {
            int house = new Found(counts, List.of()).all() - counts.getOrDefault(Stage.HANDED_OVER, 0);
            all.addAll(mapper.at(Stage.HANDED_OVER, Math.max(0, from - house), most - all.size()));
        }
        return new Found(counts, all);
    }

    /** The words are looked up once: all that was found, and of that what is shown. */
    private Found ofHits(Wanted wanted, int from, int most) {
        List<Hit> hits = mapper.hits(wanted);
        Map<Stage, Integer> counts = new EnumMap<>(Stage.class);
        hits.forEach(h -> counts.merge(h.stage(), 1, Integer::sum));
        List<Integer> shown = hits.stream()
                .filter(h -> wanted.stage() == null || wanted.stage() == h.stage())
                .sorted(Comparator.comparing((Hit h) -> wanted.number() == null || wanted.number() != h.number())
                        .thenComparing(Hit::isGone)
                        .thenComparing(Hit::changedAt, Comparator.reverseOrder())
                        .thenComparing(Hit::number, Comparator.reverseOrder()))
                .skip(from)
                .limit(most)
                .map(Hit::number)
                .toList();
        if (shown.isEmpty()) {
            return new Found(counts, List.of());
        }
        return new Found(
                counts,
                mapper.lines(shown).stream()
                        .sorted(Comparator.comparing(line -> shown.indexOf(line.number())))
                        .toList());
    }
}
